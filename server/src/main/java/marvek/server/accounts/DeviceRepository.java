package marvek.server.accounts;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

interface DeviceRepository extends JpaRepository<Device, UUID> {
  Optional<Device> findByIdAndEndedAtIsNull(UUID id);

  List<Device> findByPersonIdInAndEndedAtIsNullOrderByPairedAt(Collection<UUID> people);

  /** Takes note that a device is there, to the quarter of an hour. */
  @Transactional
  @Modifying
  @Query(
      value =
          "update device set seen_at = now()"
              + " where id = :id and seen_at < now() - interval '15 minutes'",
      nativeQuery = true)
  int seen(UUID id);

  @Modifying
  @Query(value = "update device set ended_at = now() where id = :id", nativeQuery = true)
  int end(UUID id);

  @Modifying
  @Query(
      value = "update device set ended_at = now() where person_id = :person and ended_at is null",
      nativeQuery = true)
  int endAllOf(UUID person);

  /** Signs out all devices of somebody's but one, or all. */
  @Modifying
  @Query(
      value =
          "update device set ended_at = now() where person_id = :person and ended_at is null"
              + " and (cast(:but as uuid) is null or id <> :but)",
      nativeQuery = true)
  int endOthersOf(UUID person, @Nullable UUID but);
}
