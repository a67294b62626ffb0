-- What is said of a change is kept as a sentence with its facts; what was kept as words stays words.
create function told(words text) returns jsonb language sql immutable as
$$ select jsonb_build_object('code', 'as-told', 'facts', jsonb_build_object('words', words)) $$;

alter table page_check alter column reason type text;
update page_check set reason = told(reason)::text;

update circuit set changes = (
  select jsonb_agg((change - 'text') || jsonb_build_object('said', told(change ->> 'text')))
  from jsonb_array_elements(changes::jsonb) change)::text
where changes <> '[]';

drop function told;
