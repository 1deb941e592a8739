-- What the shelf shows of a machine, derived from its books: made anew wherever it does not rest on their last entries, or was made by
-- another build. Nothing is lost with this table.
create table shelf_line (
    machine_id bigint primary key,
    rests_on   varchar(300) not null,
    line       clob         not null
);
