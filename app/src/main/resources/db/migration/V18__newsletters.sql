-- What runs on the journey machine is not always written as a journey: newsletters are journeys,
-- too, which lists of journeys leave out.
alter table journey add column kind varchar(12) default 'JOURNEY' not null;

-- An email to many at a moment, with the journey that it runs as.
create table newsletter (
  journey_id bigint primary key references journey (id),
  document clob not null,
  version int not null,
  -- DRAFT, PLANNED, or CALLED_BACK.
  state varchar(12) not null,
  -- When something is to be done about it next, in epoch seconds: choose the better subject, or
  -- close it once it has gone to all.
  due_at bigint,
  -- How many were to get it when it was planned.
  people bigint,
  -- When it comes to the first.
  first_at bigint,
  -- When the better subject goes to the rest.
  decide_at bigint,
  -- When it comes to the last.
  last_at bigint,
  -- Which subject was the better one, and why, in words.
  better int,
  verdict varchar(2000),
  -- When the last change was made, in epoch seconds.
  changed_at bigint not null
);
create index newsletter_due on newsletter (due_at);

-- By which a calendar program may read the calendar; of its token only a fingerprint is kept.
create table calendar_feed (
  only_one int default 1 primary key check (only_one = 1),
  token_hash varchar(64) not null
);
