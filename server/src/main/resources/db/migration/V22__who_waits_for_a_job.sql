-- How many wait for a job: who leaves it does not end it for the others.
alter table job add column askers int not null default 1;
