-- Days on which an instructor leads a group, and what is said to whom.
create table lead_day (
  session_id uuid primary key references session on delete cascade,
  document text not null,
  changed_at timestamptz not null
);
create table group_remark (
  id uuid primary key,
  session_id uuid not null references session on delete cascade,
  document text not null,
  created_at timestamptz not null
);
create index group_remark_of_session on group_remark (session_id);
