package escrel.web.phone;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.springframework.stereotype.Component;

/** Codes by which a phone joins a job: one a job, for a working day; a new one ends the one before. */
@Component
class PhoneCodes {
    static final int LENGTH = 10;
    private static final Duration VALID = Duration.ofHours(12);
    private static final int MOST = 100;
    // no letter that is mistaken for another
    private static final String LETTERS = "ABCDEFGHJKLMNPQRSTUVWXYZ23456789";

    private record Code(String code, Instant until) {}

    private final SecureRandom random = new SecureRandom();
    private final Clock clock;
    private final Map<Integer, Code> codes = new HashMap<>();

    PhoneCodes(Clock clock) {
        this.clock = clock;
    }

    /** Makes a new code for a job. */
    synchronized String make(int job) {
        codes.values().removeIf(c -> c.until().isBefore(clock.instant()));
        if (codes.size() >= MOST) {
            codes.clear();
        }
        StringBuilder code = new StringBuilder();
        for (int i = 0; i < LENGTH; i++) {
            code.append(LETTERS.charAt(random.nextInt(LETTERS.length())));
        }
        codes.put(job, new Code(code.toString(), clock.instant().plus(VALID)));
        return code.toString();
    }

    /** The code of a job, if it still holds. */
    synchronized Optional<String> of(int job) {
        return Optional.ofNullable(codes.get(job))
                .filter(c -> c.until().isAfter(clock.instant()))
                .map(Code::code);
    }

    /** Ends the code of a job. */
    synchronized void end(int job) {
        codes.remove(job);
    }

    /** The job a code belongs to; nothing for an old or a made-up one. */
    synchronized OptionalInt job(String code) {
        return codes.entrySet().stream()
                .filter(e ->
                        e.getValue().code().equals(code) && e.getValue().until().isAfter(clock.instant()))
                .mapToInt(Map.Entry::getKey)
                .findFirst();
    }
}
