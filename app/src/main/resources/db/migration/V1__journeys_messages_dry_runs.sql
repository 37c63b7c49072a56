create table message (
  id varchar(40) primary key,
  name varchar(80) not null,
  subject varchar(200) not null,
  links clob not null,
  version int not null,
  created_at timestamp(3) with time zone not null
);

create table journey (
  id bigint generated always as identity primary key,
  document clob not null,
  version int not null,
  saved_at timestamp(3) with time zone not null,
  behaviour clob not null,
  behaviour_version int not null
);

-- goal_met is null without a goal, last_reached (who got the last email) without an email.
-- A run keeps the journey and the assumptions it was made with, so that it can be repeated.
create table dry_run (
  id bigint generated always as identity primary key,
  journey_id bigint not null references journey (id),
  journey_version int not null,
  journey_name varchar(80) not null,
  purpose varchar(20) not null,
  entered bigint not null,
  goal_met bigint,
  last_reached bigint,
  document clob not null,
  behaviour clob not null,
  messages clob not null,
  people int not null,
  seed bigint not null,
  start_at timestamp(3) with time zone not null,
  horizon_days int not null,
  made_at timestamp(3) with time zone not null,
  millis bigint not null,
  results clob not null
);

create index dry_run_of_journey on dry_run (journey_id, id);
