-- Fastest lines that were searched for before, so that no other server, nor this one started anew, searches them
-- again. Only what can be found again: it may be emptied at any time.
create table found_line (
  digest text primary key,
  offsets_m double precision[] not null,
  still boolean not null,
  found_at timestamptz not null
);
create index found_line_found_at on found_line (found_at);
