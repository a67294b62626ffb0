-- A circuit is a place; each row is one version of its layout. Versions that a book uses never change.
alter table circuit add column place_id uuid;
update circuit set place_id = id;
alter table circuit alter column place_id set not null;
alter table circuit add column version integer not null default 1;
alter table circuit add column valid_from date;
alter table circuit add column reason varchar(500) not null default '';
alter table circuit add column changes text not null default '[]';
-- What is being edited, kept until it becomes a version or is thrown away.
alter table circuit add column draft text;
alter table circuit add constraint one_row_a_version unique (place_id, version);

-- The layout version that a revision was made for.
alter table revision add column circuit_id uuid references circuit;
update revision set circuit_id = (select b.circuit_id from book b where b.id = revision.book_id);
alter table revision alter column circuit_id set not null;
create index revision_of_circuit on revision (circuit_id);

-- Pages to be checked on track, until the driver clears them.
create table page_check (
  id uuid primary key,
  book_id uuid not null references book,
  corner integer not null,
  reason varchar(500) not null,
  layout_version integer not null,
  made_at timestamptz not null,
  cleared_at timestamptz
);
create index check_of_book on page_check (book_id);

create table walk (
  id uuid primary key,
  driver_id uuid not null references driver,
  circuit_id uuid not null references circuit,
  begun_at timestamptz not null,
  finished_at timestamptz,
  result_id uuid references circuit
);
create index walk_of_circuit on walk (circuit_id);

-- Items of the walk's list that were looked at.
create table walk_tick (
  id uuid primary key,
  walk_id uuid not null references walk,
  item varchar(120) not null,
  unique (walk_id, item)
);

create table walk_note (
  id uuid primary key,
  walk_id uuid not null references walk,
  station_m double precision not null,
  side varchar(8) not null,
  words varchar(2000) not null,
  made_at timestamptz not null,
  lat_deg double precision,
  lon_deg double precision,
  photo bytea
);
create index note_of_walk on walk_note (walk_id);
