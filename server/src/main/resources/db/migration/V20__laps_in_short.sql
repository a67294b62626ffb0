-- What a file's laps are, with their times, so that a list of them need not read the files.
alter table lap_file add column summary text;
