-- Each kind of book can be opened once under one key: a form's own, or the house's fixed one. Of books opened twice before this
-- rule the first keeps the key; the others stay readable and can be opened no third time.
alter table book add column opened_by varchar(40);

update book b set opened_by = (select e.submission from entry e where e.book_id = b.id and e.sequence = 1)
where not exists (
    select 1 from entry own join entry other on other.submission = own.submission and other.sequence = 1
    where own.book_id = b.id and own.sequence = 1 and other.book_id < b.id
);

update book set opened_by = 'HOUSE' where kind = 'HOUSE' and id = (select min(id) from book where kind = 'HOUSE');

alter table book add constraint book_opened_once unique (opened_by);
