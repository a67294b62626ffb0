package marvek.server.sessions;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import marvek.core.review.StepState;
import marvek.formats.JsonFiles;
import marvek.formats.StepStateJson;
import marvek.server.editions.Edition;

/** How far a brake point is worked up to on a surface. */
@Entity
@Table(name = "step_state")
class StoredStep {
  @Id private UUID id;

  /** Null until it is stored for the first time. */
  @Version private Long edition;

  private UUID bookId;
  private int corner;
  private String surface;

  @Column(columnDefinition = "text")
  private String document;

  private Instant createdAt;

  protected StoredStep() {}

  StoredStep(UUID bookId, StepState state) {
    this.id = UUID.randomUUID();
    this.bookId = bookId;
    this.corner = state.corner();
    this.surface = state.surface().name();
    this.createdAt = Instant.now();
    becomes(state);
  }

  String document() {
    return document;
  }

  final void becomes(StepState state) {
    document = JsonFiles.write(StepStateJson.write(state));
  }

  long edition() {
    return edition == null ? Edition.NONE : edition;
  }
}
