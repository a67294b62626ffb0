package marvek.server.books;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A line that was searched for, by what it depends on. */
@Entity
@Table(name = "found_line")
class FoundLine {
  @Id private String digest;

  @Column(name = "offsets_m")
  @JdbcTypeCode(SqlTypes.ARRAY)
  private double[] offsetsM;

  private boolean still;
  private Instant foundAt;

  protected FoundLine() {}

  FoundLine(String digest, double[] offsetsM, boolean still, Instant foundAt) {
    this.digest = digest;
    this.offsetsM = offsetsM;
    this.still = still;
    this.foundAt = foundAt;
  }

  /** Of the path, at every sample of the road. */
  double[] offsetsM() {
    return offsetsM;
  }

  /** Whether the search came to rest. */
  boolean still() {
    return still;
  }
}
