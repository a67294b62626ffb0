-- Who may do what with a driver's things: a person is a row of `driver`, whether he owns anything or not.
create table share (
  id uuid primary key,
  owner_id uuid not null references driver,
  person_id uuid not null references driver,
  role varchar(20) not null check (role in ('COACH', 'INSTRUCTOR', 'GUEST')),
  book_id uuid references book on delete cascade,
  made_at timestamptz not null,
  until timestamptz,
  ended_at timestamptz
);
create index share_of_person on share (person_id);

-- A telephone, tablet or computer that was paired, and whose it is.
create table device (
  id uuid primary key,
  person_id uuid not null references driver,
  name varchar(80) not null,
  paired_at timestamptz not null,
  seen_at timestamptz not null,
  ended_at timestamptz
);
create index device_of_person on device (person_id);

-- Codes that pair a device once: kept as their digest, so that a copy of the database opens nothing.
create table pairing (
  id uuid primary key,
  digest varchar(64) not null unique,
  owner_id uuid not null references driver,
  person_id uuid not null references driver,
  made_at timestamptz not null,
  expires_at timestamptz not null,
  used_at timestamptz
);
-- Wrong ones, so that guessing is slowed on whichever server it is tried.
create table wrong_pairing (at timestamptz not null);

-- Who asked for long work.
alter table job add column owner_id uuid references driver;

-- What is learned belongs to who learned it; so far that was the driver.
alter table recall add column person_id uuid references driver;
alter table run_through add column person_id uuid references driver;
alter table imagined_lap add column person_id uuid references driver;
update recall t set person_id = (select driver_id from book where id = t.book_id);
update run_through t set person_id = (select driver_id from book where id = t.book_id);
update imagined_lap t set person_id = (select driver_id from book where id = t.book_id);
alter table recall drop constraint recall_book_id_question_key;
create unique index recall_of_person on recall (book_id, person_id, question);

-- Tables of the session library, as it wants them on PostgreSQL: who is signed in, on any server.
create table spring_session (
  primary_id char(36) not null primary key,
  session_id char(36) not null,
  creation_time bigint not null,
  last_access_time bigint not null,
  max_inactive_interval int not null,
  expiry_time bigint not null,
  principal_name varchar(100)
);
create unique index spring_session_ix1 on spring_session (session_id);
create index spring_session_ix2 on spring_session (expiry_time);
create index spring_session_ix3 on spring_session (principal_name);
create table spring_session_attributes (
  session_primary_id char(36) not null references spring_session (primary_id) on delete cascade,
  attribute_name varchar(200) not null,
  attribute_bytes bytea not null,
  primary key (session_primary_id, attribute_name)
);
