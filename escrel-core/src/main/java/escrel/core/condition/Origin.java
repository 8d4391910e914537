package escrel.core.condition;

/** Where a finding comes from, as the owner is told. Damage done during this service is recorded as honestly. */
public enum Origin {
    FACTORY,
    WEAR,
    ACCIDENT,
    EARLIER_REPAIR,
    THIS_SERVICE,
    UNKNOWN
}
