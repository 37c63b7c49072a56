-- The page on which readers of mail choose what they get; there is one row once it was changed.
create table choices_page (
  id int primary key,
  document clob not null,
  version int default 1 not null,
  constraint one_choices_page check (id = 1)
);

-- How often somebody wants email at most.
alter table person add column how_often varchar(20) default 'AS_IT_COMES' not null;

-- Forms tell the team, too.
alter table notice alter column journey_id set null;
alter table notice add column by_form varchar(80);

-- The token of the mail before: after a crash nobody knows whether that one went out.
alter table sign_up add column token_before varchar(64);
create index sign_up_token_before on sign_up (token_before);
