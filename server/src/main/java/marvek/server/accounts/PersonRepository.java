package marvek.server.accounts;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface PersonRepository extends JpaRepository<Person, UUID> {
  Optional<Person> findFirstByOrderByCreatedAt();

  /** Who signs in by a name, however large or small it is written. */
  @Query(value = "select * from driver where lower(sign_in) = lower(:name)", nativeQuery = true)
  Optional<Person> named(String name);

  /** Who has a shelf of his own and was let in by somebody, but sees nothing of his. */
  @Query(
      value =
          "select * from driver d where let_in_by = :keeper and has_shelf"
              + " and not exists (select 1 from share where person_id = d.id"
              + " and owner_id = :keeper and ended_at is null) order by created_at",
      nativeQuery = true)
  List<Person> letInBy(UUID keeper);
}
