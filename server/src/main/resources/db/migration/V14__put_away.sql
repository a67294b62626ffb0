-- What is put away is not there for anybody until it is taken back; after thirty days it goes for good.
alter table book add column put_away_at timestamptz;
alter table session add column put_away_at timestamptz;
alter table lap_file add column put_away_at timestamptz;
alter table car add column put_away_at timestamptz;
alter table circuit add column put_away_at timestamptz;

-- What belongs to a thing goes with it.
alter table revision drop constraint revision_book_id_fkey;
alter table revision add constraint revision_book_id_fkey
  foreign key (book_id) references book on delete cascade;
alter table page_check drop constraint page_check_book_id_fkey;
alter table page_check add constraint page_check_book_id_fkey
  foreign key (book_id) references book on delete cascade;
alter table session drop constraint session_book_id_fkey;
alter table session add constraint session_book_id_fkey
  foreign key (book_id) references book on delete cascade;
alter table step_state drop constraint step_state_book_id_fkey;
alter table step_state add constraint step_state_book_id_fkey
  foreign key (book_id) references book on delete cascade;
alter table setup_sheet drop constraint setup_sheet_car_id_fkey;
alter table setup_sheet add constraint setup_sheet_car_id_fkey
  foreign key (car_id) references car on delete cascade;
alter table walk drop constraint walk_circuit_id_fkey;
alter table walk add constraint walk_circuit_id_fkey
  foreign key (circuit_id) references circuit on delete cascade;
alter table walk drop constraint walk_result_id_fkey;
alter table walk add constraint walk_result_id_fkey
  foreign key (result_id) references circuit on delete set null;
alter table walk_tick drop constraint walk_tick_walk_id_fkey;
alter table walk_tick add constraint walk_tick_walk_id_fkey
  foreign key (walk_id) references walk on delete cascade;
alter table walk_note drop constraint walk_note_walk_id_fkey;
alter table walk_note add constraint walk_note_walk_id_fkey
  foreign key (walk_id) references walk on delete cascade;

-- A car can be called otherwise.
alter table car add column edition bigint not null default 0;

-- What came with the demo, so that it can be put away together and is filled in once only.
create table demo_thing (
  id uuid primary key,
  kind text not null
);
