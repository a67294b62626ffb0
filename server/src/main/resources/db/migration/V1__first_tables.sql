-- Every stored thing belongs to a driver.
create table driver (
  id uuid primary key,
  name varchar(120) not null,
  created_at timestamptz not null
);

create table circuit (
  id uuid primary key,
  driver_id uuid not null references driver,
  name varchar(120) not null,
  length_m double precision not null,
  corners integer not null,
  document text not null,
  created_at timestamptz not null
);
create index circuit_of_driver on circuit (driver_id);

create table car (
  id uuid primary key,
  driver_id uuid not null references driver,
  name varchar(120) not null,
  document text not null,
  created_at timestamptz not null
);
create index car_of_driver on car (driver_id);

create table book (
  id uuid primary key,
  driver_id uuid not null references driver,
  circuit_id uuid not null references circuit,
  car_id uuid not null references car,
  name varchar(120) not null,
  created_at timestamptz not null
);
create index book_of_driver on book (driver_id);

-- Revisions are immutable: rows are added, never changed.
create table revision (
  id uuid primary key,
  book_id uuid not null references book,
  number integer not null,
  parent integer,
  created_at timestamptz not null,
  document text not null,
  unique (book_id, number)
);
