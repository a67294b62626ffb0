-- How far a driver has learned what a book's pages answer.
create table recall (
  id uuid primary key,
  book_id uuid not null references book on delete cascade,
  question varchar(60) not null,
  answer varchar(300) not null,
  easiness double precision not null,
  streak integer not null,
  interval_days integer not null,
  due date not null,
  answers integer not null,
  right_answers integer not null,
  answered_at timestamptz not null,
  unique (book_id, question)
);
