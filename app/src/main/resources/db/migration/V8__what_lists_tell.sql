-- How often something has changed that pictures in memory and findings depend on: the catalogue
-- (messages, strands, segments), what journeys need to know of each other, and the names they use.
-- Whoever changes a journey or the catalogue holds the first row until that is committed.
create table revision (
  kind varchar(20) primary key,
  number bigint not null
);
insert into revision (kind, number) values ('CATALOGUE', 1), ('NEIGHBOURS', 1), ('FACTS', 1);

-- What lists and the other journeys need to know of a journey, kept at each save, so that nobody
-- reads all journeys. Cards of an earlier form, and those that are missing, are made at the start.
create table journey_card (
  journey_id bigint primary key references journey (id),
  form int not null,
  -- Grows whenever the card is made anew; a picture for the list is kept only if it still fits.
  made int not null,
  purpose varchar(20) not null,
  state varchar(20) not null,
  -- What is found by, in small letters.
  search varchar(4000) not null,
  opening clob not null,
  goal clob not null,
  body clob not null,
  neighbour clob not null,
  names clob not null,
  -- The number of FACTS at which neighbour or names last changed.
  revision bigint not null,
  findings int not null,
  worst varchar(20),
  first_place varchar(80),
  -- The number of NEIGHBOURS, and the day, that the findings are of.
  checked_at bigint not null,
  checked_on date not null,
  sketch clob
);
create index journey_card_revision on journey_card (revision);

-- When results were worked out anew because they were missing, or made again by hand.
alter table dry_run add column results_at timestamp(3) with time zone;
