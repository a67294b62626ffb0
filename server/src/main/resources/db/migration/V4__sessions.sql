-- Sessions that a book is revised for, and how far each brake point is worked up to.
create table session (
  id uuid primary key,
  book_id uuid not null references book,
  document text not null,
  created_at timestamptz not null,
  changed_at timestamptz not null
);
create index session_of_book on session (book_id);

create table step_state (
  id uuid primary key,
  book_id uuid not null references book,
  corner integer not null,
  surface varchar(8) not null,
  document text not null,
  created_at timestamptz not null,
  unique (book_id, corner, surface)
);
