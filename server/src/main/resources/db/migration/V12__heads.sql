-- What lists show of a revision and of a layout version stands beside its document, so that no list reads documents.
-- The defaults let a server of before go on while this one starts.
alter table revision add column reason text not null default '';
alter table revision add column time_s double precision not null default 0;
alter table circuit add column layout text not null default '';
alter table circuit add column time_zone text not null default 'UTC';
update revision set
  reason = coalesce(document::json ->> 'reason', ''),
  time_s = coalesce((document::json #>> '{lap,time_s}')::double precision, 0);
update circuit set
  layout = coalesce(document::json #>> '{marvek,layout}', ''),
  time_zone = coalesce(document::json #>> '{marvek,timeZone}', 'UTC');
