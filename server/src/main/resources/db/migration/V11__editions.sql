-- Whatever is changed in place counts its changes, so that a change says which state it was made from.
alter table session add column edition bigint not null default 0;
alter table step_state add column edition bigint not null default 0;
alter table lead_day add column edition bigint not null default 0;
alter table group_remark add column edition bigint not null default 0;
alter table setup_sheet add column edition bigint not null default 0;
alter table circuit add column edition bigint not null default 0;
alter table walk add column edition bigint not null default 0;
alter table book add column edition bigint not null default 0;
alter table lap_file add column edition bigint not null default 0;
alter table recall add column edition bigint not null default 0;

-- A driver walks a layout once at a time; of several that were begun at once the last goes on.
update walk w set finished_at = now()
  where finished_at is null and exists (
    select 1 from walk o where o.circuit_id = w.circuit_id and o.driver_id = w.driver_id
      and o.finished_at is null and (o.begun_at, o.id) > (w.begun_at, w.id));
create unique index one_open_walk on walk (circuit_id, driver_id) where finished_at is null;
