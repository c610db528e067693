-- what an undo takes back and what a redo makes again after each entry, 0 for nothing; null in entries from before
alter table history_entry add column undo_seq bigint;
alter table history_entry add column redo_seq bigint;
-- deltas are kept packed; those from before stay as they are
alter table history_entry add column packed binary large object;
alter table history_entry alter column delta drop not null;
create index history_entry_of on history_entry (term_id, of_seq);
