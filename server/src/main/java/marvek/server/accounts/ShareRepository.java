package marvek.server.accounts;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface ShareRepository extends JpaRepository<Share, UUID> {
  @Query(
      value =
          "select * from share where owner_id = :owner and ended_at is null"
              + " and (until is null or until > now()) order by made_at",
      nativeQuery = true)
  List<Share> open(UUID owner);

  @Modifying
  @Query(
      value =
          "update share set ended_at = now()"
              + " where owner_id = :owner and person_id = :person and ended_at is null",
      nativeQuery = true)
  int end(UUID owner, UUID person);

  /** Gives what one person sees to another; nothing of the other's own is shared with himself. */
  @Modifying
  @Query(
      value =
          "update share set person_id = :to where person_id = :from and ended_at is null"
              + " and (until is null or until > now()) and owner_id <> :to",
      nativeQuery = true)
  int moveTo(UUID from, UUID to);
}
