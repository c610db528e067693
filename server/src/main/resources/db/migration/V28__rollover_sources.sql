-- what was read from a file to be rolled over, for a while: whichever server is asked next has it
create table rollover_source (
  id varchar(36) not null primary key,
  workspace_id bigint not null references workspace (id),
  name varchar(1000000) not null,
  decisions binary large object not null,
  read_at timestamp with time zone not null
);
create index rollover_source_by_workspace on rollover_source (workspace_id);
