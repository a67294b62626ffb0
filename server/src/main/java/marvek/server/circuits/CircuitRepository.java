package marvek.server.circuits;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface CircuitRepository extends JpaRepository<StoredCircuit, UUID> {
  Optional<StoredCircuit> findByIdAndDriverId(UUID id, UUID driverId);

  String HEAD =
      """
      select new marvek.server.circuits.CircuitHead(
        c.id, c.placeId, c.version, c.name, c.layout, c.timeZone, c.validFrom, c.lengthM, c.corners,
        c.draft is not null)
      from StoredCircuit c\s""";

  /** The driver's layout versions that are not put away, oldest first. */
  @Query(HEAD + "where c.driverId = :driverId and c.putAwayAt is null order by c.createdAt")
  List<CircuitHead> heads(UUID driverId);

  /** All versions of the places that some versions of the driver's belong to. */
  @Query(
      HEAD
          + """
          where c.driverId = :driverId
            and c.placeId in (select o.placeId from StoredCircuit o where o.id in :ids)""")
  List<CircuitHead> headsBeside(Collection<UUID> ids, UUID driverId);

  List<StoredCircuit> findByPlaceIdOrderByVersion(UUID placeId);

  /** Marks of the newest version of each of a driver's places that are not put away. */
  @Query(
      value =
          """
          select c.id, c.name, m ->> 'label', coalesce(m ->> 'note', '')
          from circuit c cross join jsonb_array_elements(c.mark_words) with ordinality as marks (m, place)
          where c.driver_id = :driver and c.put_away_at is null and c.version =
            (select max(o.version) from circuit o where o.place_id = c.place_id)
          order by c.created_at, c.id, place""",
      nativeQuery = true)
  List<MarkSearch.FoundMark> marksOf(UUID driver);
}
