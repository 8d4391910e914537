-- scope '' is the workshop, else the id of a calibre
create table school_choice (
    scope  varchar(40) not null,
    school varchar(40) not null,
    choice varchar(40) not null,
    primary key (scope, school)
);

create table sheet_picture (
    calibre    varchar(40) not null,
    number     int         not null,
    media_type varchar(40) not null,
    picture    blob        not null,
    primary key (calibre, number)
);

create table sheet_document (
    calibre    varchar(40)              not null,
    number     int                      not null,
    title      varchar(200)             not null,
    source     varchar(200)             not null,
    media_type varchar(80)              not null,
    body       blob                     not null,
    added_at   timestamp with time zone not null,
    primary key (calibre, number)
);

-- the picture in full size, without place and device; scaling = a bench-side copy is still being made
alter table photo add column full_media_type varchar(40);
alter table photo add column full_picture blob;
alter table photo add column scaling boolean default false not null;
