-- Laps that were driven in the head against the clock.
create table imagined_lap (
  id uuid primary key,
  book_id uuid not null references book on delete cascade,
  revision integer not null,
  document text not null,
  created_at timestamptz not null
);
create index imagined_lap_of_book on imagined_lap (book_id);
