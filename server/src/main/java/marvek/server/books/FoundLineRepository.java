package marvek.server.books;

import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface FoundLineRepository extends JpaRepository<FoundLine, String> {
  /** Forgets all but the newest ones. */
  @Modifying
  @Query(
      value =
          "delete from found_line where digest in"
              + " (select digest from found_line order by found_at desc offset :most)",
      nativeQuery = true)
  void forgetOlder(int most);
}
