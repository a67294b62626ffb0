package marvek.server.laps;

import org.springframework.data.jpa.repository.JpaRepository;

interface HeaderRepository extends JpaRepository<StoredHeader, StoredHeader.Key> {}
