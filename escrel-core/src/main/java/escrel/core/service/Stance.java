package escrel.core.service;

/** What was agreed with the owner about cosmetics; every cosmetic choice follows it. */
public enum Stance {
    CONSERVE,
    SYMPATHETIC,
    RENEW
}
