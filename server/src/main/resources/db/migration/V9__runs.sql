-- Laps of the strip that came towards the driver, with what was pressed when.
create table run_through (
  id uuid primary key,
  book_id uuid not null references book on delete cascade,
  revision integer not null,
  document text not null,
  created_at timestamptz not null
);
create index run_through_of_book on run_through (book_id);
