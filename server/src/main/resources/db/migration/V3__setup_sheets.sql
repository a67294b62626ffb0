-- How a car was set up; a revision holds a copy of the sheet that it was computed with.
create table setup_sheet (
  id uuid primary key,
  car_id uuid not null references car,
  name varchar(120) not null,
  document text not null,
  created_at timestamptz not null
);
create index sheet_of_car on setup_sheet (car_id);
