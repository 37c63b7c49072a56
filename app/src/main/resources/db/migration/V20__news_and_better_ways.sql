-- What was posted on the stand-in site's page of news.
create table site_post (
  id bigint auto_increment primary key,
  title varchar(200) not null,
  words varchar(4000) not null,
  -- In epoch seconds.
  posted_at bigint not null
);

-- News that goes out by itself, each issue a newsletter of its own. Moments are epoch seconds.
create table news_series (
  id bigint auto_increment primary key,
  document clob not null,
  version int not null,
  -- When the next issue goes; null while it is off.
  next_at bigint,
  -- When something is to be done about it next.
  due_at bigint,
  skips_next boolean default false not null,
  -- Nothing that was posted before it is new.
  since bigint default 0 not null,
  -- How many got the last issue, or were to get it when it was turned on.
  people bigint default 0 not null,
  archived boolean default false not null,
  changed_at bigint not null
);
create index news_due on news_series (due_at);

-- What became of each moment of a series.
create table news_issue (
  id bigint auto_increment primary key,
  series_id bigint not null references news_series (id),
  at bigint not null,
  -- BEGUN, SENT, WAITS, NOTHING, SKIPPED or FAILED.
  outcome varchar(12) not null,
  -- The newsletter that it goes out as.
  journey_id bigint references journey (id),
  -- The news in it, what was left out among it.
  shown clob not null,
  left_out clob not null,
  says varchar(2000) not null
);
create index news_issue_of on news_issue (series_id, at);
create index news_issue_as on news_issue (journey_id);

-- The last search for better ways from each journey of a dry run.
create table better_ways (
  run_id bigint not null references dry_run (id) on delete cascade,
  number int not null,
  -- What was looked for, and what it came to.
  wish clob not null,
  found clob not null,
  primary key (run_id, number)
);

-- Whether a run is of a variation that was kept aside, and never was what its journey says.
alter table dry_run add column aside boolean default false not null;
