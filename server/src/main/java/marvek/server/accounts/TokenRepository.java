package marvek.server.accounts;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

/** All times are the database's, so that clocks that differ do no harm. */
interface TokenRepository extends JpaRepository<Token, UUID> {
  String OPEN = " ended_at is null and expires_at > now()";

  @Query(value = "select * from token where digest = :digest and" + OPEN, nativeQuery = true)
  Optional<Token> open(String digest);

  @Query(
      value = "select * from token where person_id = :person and" + OPEN + " order by made_at",
      nativeQuery = true)
  List<Token> openOf(UUID person);

  /** Takes note that it was used, to the quarter of an hour. */
  @Transactional
  @Modifying
  @Query(
      value =
          "update token set seen_at = now() where id = :id"
              + " and (seen_at is null or seen_at < now() - interval '15 minutes')",
      nativeQuery = true)
  int seen(UUID id);

  @Transactional
  @Modifying
  @Query(
      value = "update token set ended_at = now() where id = :id and ended_at is null",
      nativeQuery = true)
  int end(UUID id);

  @Transactional
  @Modifying
  @Query(
      value = "update token set ended_at = now() where person_id = :person and ended_at is null",
      nativeQuery = true)
  int endAllOf(UUID person);
}
