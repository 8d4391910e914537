create table calibre_sheet (
    calibre    varchar(40)              not null,
    version    int                      not null,
    name       varchar(120)             not null,
    sheet      clob                     not null,
    added_at   timestamp with time zone not null,
    primary key (calibre, version)
);

-- watch to next_act repeat what the steps say, so that the list of jobs needs no steps
create table job (
    number        int                      not null primary key,
    opened_at     timestamp with time zone not null,
    changed_at    timestamp with time zone not null,
    last_sequence int                      not null,
    watch         varchar(200)             not null,
    owner         varchar(200)             not null,
    calibre       varchar(40),
    sheet_version int,
    stage         varchar(20)              not null,
    next_act      varchar(300)             not null,
    foreign key (calibre, sheet_version) references calibre_sheet (calibre, version)
);

create table step (
    job         int                      not null references job (number),
    sequence    int                      not null,
    recorded_at timestamp with time zone not null,
    kind        varchar(40)              not null,
    body        clob                     not null,
    primary key (job, sequence)
);

create table photo (
    job        int          not null references job (number),
    number     int          not null,
    media_type varchar(40)  not null,
    picture    blob         not null,
    small      blob         not null,
    primary key (job, number)
);
