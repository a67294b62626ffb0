-- What is looked for by its words stands beside the documents, written by the database itself.
create function page_words(document text) returns jsonb language sql immutable as
$$ select coalesce(jsonb_agg(jsonb_build_object(
     'corner', p -> 'corner', 'name', p -> 'name', 'notes', p -> 'notes', 'wayOut', p -> 'wayOut')), '[]')
   from jsonb_array_elements(document::jsonb -> 'pages') p $$;
create function mark_words(document text) returns jsonb language sql immutable as
$$ select coalesce(jsonb_agg(jsonb_build_object('label', f #> '{properties,label}', 'note', f #> '{properties,note}')), '[]')
   from jsonb_array_elements(document::jsonb -> 'features') f
   where f #>> '{properties,kind}' = 'mark' $$;
alter table revision add column page_words jsonb generated always as (page_words(document)) stored;
alter table circuit add column mark_words jsonb generated always as (mark_words(document)) stored;
