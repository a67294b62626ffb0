package marvek.server.books;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface BookRepository extends JpaRepository<Book, UUID> {
  Optional<Book> findByIdAndDriverId(UUID id, UUID driverId);

  /** Whether there is any, put away or not. */
  @Query(
      value = "select exists (select 1 from book where driver_id = :driverId)",
      nativeQuery = true)
  boolean existsByDriverId(UUID driverId);

  List<Book> findByDriverIdOrderByCreatedAt(UUID driverId);

  /** Names of all books with a car, put away or not. */
  @Query(value = "select name from book where car_id = :car order by name", nativeQuery = true)
  List<String> namesWithCar(UUID car);

  /** Names of all books with a revision made for the place of a circuit, put away or not. */
  @Query(
      value =
          """
          select distinct b.name from book b join revision r on r.book_id = b.id
            join circuit c on c.id in (r.circuit_id, b.circuit_id)
            join circuit o on o.place_id = c.place_id
          where o.id = :circuit order by b.name""",
      nativeQuery = true)
  List<String> namesAtPlaceOf(UUID circuit);
}
