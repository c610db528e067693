alter table unit add column colour varchar(200);
alter table unit add column opens varchar(1000000);
alter table unit add column due varchar(1000000);
alter table unit add column closes varchar(1000000);

alter table lesson add column objectives varchar(1000000);
alter table lesson add column steps varchar(1000000);
alter table lesson add column links varchar(1000000);
alter table lesson add column files varchar(1000000);

alter table item add column within_item varchar(1000);
alter table item add column instructions varchar(1000000);
alter table item add column hand_in varchar(200);
alter table item add column hand_in_place varchar(1000000);
alter table item add column links varchar(1000000);
alter table item add column files varchar(1000000);
alter table item add column only_sections varchar(1000000);
alter table item add column audience varchar(200);
alter table item add column hidden boolean;

create table adjustment (
  term_id bigint not null,
  course varchar(1000) not null,
  section varchar(1000) not null,
  item varchar(1000) not null,
  student varchar(1000) not null,
  position integer not null,
  dates varchar(1000000) not null,
  why varchar(1000000) not null,
  primary key (term_id, course, section, item, student),
  foreign key (term_id, course, section) references section (term_id, course, code)
);

create table stored_file (
  term_id bigint not null references term (id),
  id varchar(64) not null,
  name varchar(300) not null,
  media_type varchar(200) not null,
  size bigint not null,
  content binary large object not null,
  stored_at timestamp with time zone not null,
  primary key (term_id, id)
);
