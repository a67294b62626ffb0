-- Long work, so that any server that runs on this database may run, show and end it.
create table job (
  id uuid primary key,
  kind text not null,
  asked text not null,
  same text not null,
  status text not null check (status in ('queued', 'running', 'done', 'failed', 'cancelled')),
  progress double precision not null default 0,
  begun int not null default 0,
  book uuid,
  revision int,
  problem text,
  created_at timestamptz not null,
  ended_at timestamptz
);
create unique index job_of_the_same on job (same) where status in ('queued', 'running');
create index job_by_end on job (ended_at);

-- The table of the scheduler's library, as it wants it on PostgreSQL: which job is due, and who has it.
create table scheduled_tasks (
  task_name text not null,
  task_instance text not null,
  task_data bytea,
  execution_time timestamptz not null,
  picked boolean not null,
  picked_by text,
  last_success timestamptz,
  last_failure timestamptz,
  consecutive_failures int,
  last_heartbeat timestamptz,
  version bigint not null,
  priority smallint,
  primary key (task_name, task_instance)
);
create index scheduled_tasks_by_time on scheduled_tasks (execution_time);
create index scheduled_tasks_by_heartbeat on scheduled_tasks (last_heartbeat);
