-- What somebody said of a lap file: which column is what, which laps are of another kind, and
-- whether its laps moved the step plans already.
alter table lap_file add column mapping text not null default '{}';
alter table lap_file add column kinds text not null default '{}';
alter table lap_file add column steps_noted boolean not null default false;

-- The bytes lie apart: most looks at a file do not need its megabytes.
create table lap_bytes (
  file_id uuid primary key references lap_file on delete cascade,
  bytes bytea not null
);
insert into lap_bytes select id, bytes from lap_file;
alter table lap_file add column size integer not null default 0;
update lap_file set size = length(bytes);
alter table lap_file drop column bytes;

-- How the columns of a header were mapped, for the next file with the same one.
create table lap_header (
  digest varchar(64) primary key,
  mapping text not null,
  changed_at timestamptz not null
);

-- Remarks on laps, and findings that were dismissed; a session's go with it.
create table debrief_note (
  id uuid primary key,
  session_id uuid not null references session on delete cascade,
  document text not null,
  created_at timestamptz not null
);
create index debrief_note_of_session on debrief_note (session_id);
