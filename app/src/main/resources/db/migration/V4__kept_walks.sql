-- A walk that is kept as a test of its journey: who walks, what they do, and how it came out.
create table kept_walk (
  id bigint generated always as identity primary key,
  journey_id bigint not null references journey (id),
  name varchar(80) not null,
  document clob not null,
  outcome clob not null,
  kept_at timestamp(3) with time zone not null
);
