-- What a dry run counted, in its compact form (core.dryrun.TallyForm): results that are missing are
-- told again from it, without sending the people through once more.
alter table dry_run add column counts blob;
