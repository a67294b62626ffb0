-- Files of laps as they were brought in; a session's go with it.
create table lap_file (
  id uuid primary key,
  session_id uuid not null references session on delete cascade,
  name varchar(200) not null,
  digest varchar(64) not null,
  bytes bytea not null,
  taken_at timestamptz not null,
  unique (session_id, digest)
);
create index lap_file_of_session on lap_file (session_id);
