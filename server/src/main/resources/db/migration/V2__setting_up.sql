alter table calendar add column rotation varchar(1000000);
alter table meeting_pattern add column letters varchar(1000000);
alter table course add column asks varchar(1000);
alter table section add column instructor varchar(1000);
alter table section add column part_of varchar(1000);

create table student (
  term_id bigint not null,
  course varchar(1000) not null,
  section varchar(1000) not null,
  id varchar(1000) not null,
  position integer not null,
  name varchar(1000000) not null,
  mail varchar(1000000) not null,
  primary key (term_id, course, section, id),
  foreign key (term_id, course, section) references section (term_id, course, code)
);

create table source_file (
  term_id bigint not null references term (id),
  name varchar(200) not null,
  content binary large object not null,
  read_at timestamp with time zone not null,
  primary key (term_id, name)
);
