package marvek.server.accounts;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

/** Codes and wrong ones. All times are the database's, so that clocks that differ do no harm. */
interface PairingRepository extends Repository<Device, UUID> {
  @Modifying
  @Query(
      value =
          """
          insert into pairing (id, digest, owner_id, person_id, made_at, expires_at)
          values (:id, :digest, :owner, :person, now(), now() + interval '10 minutes')""",
      nativeQuery = true)
  void keep(UUID id, String digest, UUID owner, UUID person);

  /** Uses a code up; whose device it pairs, or nothing for a wrong, used or old one. */
  @Query(
      value =
          """
          update pairing set used_at = now()
          where digest = :digest and used_at is null and expires_at > now()
          returning person_id""",
      nativeQuery = true)
  Optional<UUID> use(String digest);

  @Query(
      value = "select count(*) from wrong_pairing where at > now() - interval '10 minutes'",
      nativeQuery = true)
  long wrongOfLate();

  @Modifying
  @Query(value = "insert into wrong_pairing (at) values (now())", nativeQuery = true)
  void wrong();

  @Modifying
  @Query(
      value = "delete from wrong_pairing where at < now() - interval '1 hour'",
      nativeQuery = true)
  void forgetWrong();

  /** A person who is let see nothing any more has no code either. */
  @Modifying
  @Query(
      value = "update pairing set used_at = now() where person_id = :person and used_at is null",
      nativeQuery = true)
  int end(UUID person);
}
