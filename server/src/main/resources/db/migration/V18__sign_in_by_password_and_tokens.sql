-- Who has a name and a password of his own, on a club's server, belongs to himself; anybody else to who let him in.
alter table driver add column sign_in varchar(80);
alter table driver add column password varchar(200);
alter table driver add column let_in_by uuid references driver;
alter table driver add column has_shelf boolean not null default false;
create unique index driver_of_sign_in on driver (lower(sign_in));
update driver d set let_in_by =
  (select s.owner_id from share s where s.person_id = d.id order by s.made_at limit 1);
update driver set has_shelf = true where let_in_by is null;

-- Wrong passwords, so that guessing is slowed on whichever server it is tried; names as digests, as people type
-- their passwords there too.
create table wrong_sign_in (digest varchar(64) not null, at timestamptz not null);
create index wrong_sign_in_of_name on wrong_sign_in (digest, at);

-- Keys of scripts: kept as their digest, so that a copy of the database opens nothing.
create table token (
  id uuid primary key,
  person_id uuid not null references driver,
  name varchar(80) not null,
  digest varchar(64) not null unique,
  scope varchar(20) not null check (scope in ('READ', 'EDIT')),
  made_at timestamptz not null,
  expires_at timestamptz not null,
  seen_at timestamptz,
  ended_at timestamptz
);
create index token_of_person on token (person_id);
