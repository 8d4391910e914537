-- acts that belong to no job: kept as steps are, only ever added
create table workshop_act (
    sequence    int                      not null primary key,
    recorded_at timestamp with time zone not null,
    kind        varchar(40)              not null,
    body        clob                     not null
);

insert into workshop_act (sequence, recorded_at, kind, body)
select row_number() over (order by calibrated_at, name),
       calibrated_at,
       'clock-calibrated',
       cast(json_object('device': name, 'ppm': ppm, 'doubtPpm': doubt_ppm, 'reference': reference) as varchar(4000))
from sound_device;

drop table sound_device;
