alter table journey add column archived boolean default false not null;
-- The starter it began from, whose reasons are shown in the margin.
alter table journey add column starter varchar(40);

-- Every save of a journey. A name is given by hand; saved_by is what somebody signs with, if they do.
create table journey_version (
  journey_id bigint not null references journey (id),
  version int not null,
  document clob not null,
  saved_at timestamp(3) with time zone not null,
  saved_by varchar(60),
  name varchar(80),
  primary key (journey_id, version)
);
insert into journey_version (journey_id, version, document, saved_at)
select id, version, document, saved_at from journey;
