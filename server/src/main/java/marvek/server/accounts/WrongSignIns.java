package marvek.server.accounts;

import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

/** Wrong passwords of late, by the digest of the name that they were tried for. */
interface WrongSignIns extends Repository<Person, UUID> {
  @Query(
      value =
          "select count(*) from wrong_sign_in"
              + " where digest = :digest and at > now() - interval '10 minutes'",
      nativeQuery = true)
  long ofLate(String digest);

  @Modifying
  @Query(
      value = "insert into wrong_sign_in (digest, at) values (:digest, now())",
      nativeQuery = true)
  void wrong(String digest);

  @Modifying
  @Query(
      value = "delete from wrong_sign_in where at < now() - interval '1 hour'",
      nativeQuery = true)
  void forget();
}
