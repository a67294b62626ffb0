-- Whose laps a file has and in what: laps of two drivers or vehicles are never taken together.
alter table lap_file add column driver varchar(120) not null default '';
alter table lap_file add column vehicle varchar(120) not null default '';
-- Where its row of headers stands, where somebody pointed at it.
alter table lap_file add column header_line bigint not null default 0;

-- A file is kept packed; those that came before are as they came.
alter table lap_bytes add column packed boolean not null default false;

-- Columns that were named are remembered for who named them; those of before for whose machine it is.
alter table lap_header
  add column person_id uuid not null default '00000000-0000-0000-0000-000000000000';
alter table lap_header add column header_line bigint not null default 0;
update lap_header set person_id = d.id
  from (select id from driver order by created_at limit 1) d;
alter table lap_header drop constraint lap_header_pkey;
alter table lap_header add primary key (digest, person_id);
