-- Surveys of elsewhere, kept to be read: the zip as it was handed over, whole, by its hash. Nothing of it is ever written to.
create table handed (
    sha256  char(64) primary key,
    title   varchar(200) not null,
    kept_at varchar(30)  not null,
    kept_by varchar(80)  not null,
    bytes   blob         not null
);
