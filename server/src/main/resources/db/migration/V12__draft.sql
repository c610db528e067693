alter table unit add column draft boolean;
alter table item add column draft boolean;
