package escrel.core.triage;

import escrel.core.calibre.Lore;
import escrel.core.service.Step;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The chronograph was reset while it ran; the latest counts. What it should do differs by calibre and may be known only later, so
 * what it did is kept, and judged whenever it is asked. Source: craft 2.1.
 */
public record ResetTried(Did did) implements Step {
    /** What it did. */
    public enum Did {
        BLOCKED("the pusher was blocked"),
        RUNS_ON("to zero, and on from there"),
        STOPS("to zero, and it stood"),
        JUMPS("it jumped, or stood off zero");

        private final String words;

        Did(String words) {
            this.words = words;
        }

        /** As it is said. */
        public String words() {
            return words;
        }
    }

    /**
     * What a calibre's pushers should do with it, by the words of its sheet.
     *
     * @return nothing where the sheet does not say, or says two things
     */
    public static Optional<Did> expected(List<Lore.Pusher> pushers) {
        List<Did> said = pushers.stream()
                .map(p -> p.does().toLowerCase(Locale.ROOT))
                .flatMap(ResetTried::saidIn)
                .distinct()
                .toList();
        return said.size() == 1 ? Optional.of(said.get(0)) : Optional.empty();
    }

    private static Stream<Did> saidIn(String does) {
        return does.contains("blocked")
                ? Stream.of(Did.BLOCKED)
                : does.contains("runs on") || does.contains("flies back") || does.contains("flyback")
                        ? Stream.of(Did.RUNS_ON)
                        : Stream.empty();
    }

    /**
     * It as a check: a jump is a fault whatever the calibre; anything else is held against its sheet.
     *
     * @param pushers as the sheet says them; empty while no sheet says
     */
    Checked against(List<Lore.Pusher> pushers) {
        Checked.Outcome outcome = did == Did.JUMPS
                ? Checked.Outcome.NO
                : expected(pushers)
                        .map(e -> e == did ? Checked.Outcome.YES : Checked.Outcome.NO)
                        .orElse(Checked.Outcome.NOT_TRIED);
        String words = outcome == Checked.Outcome.NOT_TRIED
                ? did.words() + "; what it should do is not on the sheet"
                : outcome == Checked.Outcome.NO && did != Did.JUMPS
                        ? did.words() + "; by the sheet: "
                                + expected(pushers).map(Did::words).orElse("")
                        : did.words();
        return new Checked(Check.RESET_WHILE_RUNNING, outcome, words);
    }
}
