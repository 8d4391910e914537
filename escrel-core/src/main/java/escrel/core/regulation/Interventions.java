package escrel.core.regulation;

import escrel.core.calibre.Part;
import escrel.core.parts.Copies;
import escrel.core.parts.Copy;
import escrel.core.service.Episode;
import escrel.core.service.JobHistory;
import escrel.core.service.Lives;
import escrel.core.service.OpenedAgain;
import escrel.core.service.RecordedStep;
import escrel.core.service.Round;
import escrel.core.timing.readings.Demagnetised;
import escrel.core.timing.readings.Intervened;
import escrel.core.timing.readings.ReadingSet;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * What was done to the watch between one set of readings and the next: each opening of the movement, each part replaced,
 * each named act of regulation, in the order of time. Source: craft 9.
 */
public final class Interventions {
    /**
     * One of them.
     *
     * @param at sequence of the step that completes it
     * @param when it was recorded
     * @param words what was done
     */
    public record Intervention(int at, Instant when, String words) {}

    /** Words of the demagnetiser in the line of time. */
    public static final String DEMAGNETISED = "demagnetised";

    private Interventions() {}

    /** All of a job, first first. */
    public static List<Intervention> of(JobHistory history, Lives lives, Copies copies) {
        List<Intervention> found = new ArrayList<>();
        for (RecordedStep entry : history.counting(Demagnetised.class, Intervened.class)) {
            if (entry.step() instanceof Demagnetised) {
                found.add(new Intervention(entry.sequence(), entry.at(), DEMAGNETISED));
            } else if (entry.step() instanceof Intervened step) {
                String more = step.words().isBlank() ? "" : ": " + step.words();
                found.add(new Intervention(
                        entry.sequence(), entry.at(), step.what().words() + more));
            }
        }
        for (Copy copy : copies.fittedAnew()) {
            String from = copy.source().isBlank() ? "" : " (" + copy.source() + ")";
            found.add(new Intervention(
                    copy.fittedAt(),
                    history.at(copy.fittedAt()).orElse(Instant.EPOCH),
                    lives.sheet().requirePart(copy.part()).name() + " replaced, "
                            + copy.origin().words() + from));
        }
        for (Round round : lives.rounds()) {
            opening(round, lives, history, found);
        }
        found.sort(Comparator.comparing(Intervention::at));
        return List.copyOf(found);
    }

    /**
     * A round stands in the line where the movement could run again: at the last part without which it stands still, or
     * at the last part of all where none of those was lifted.
     */
    private static void opening(Round round, Lives lives, JobHistory history, List<Intervention> found) {
        int running = 0;
        int last = 0;
        int parts = 0;
        for (String code : round.lifted()) {
            Part part = lives.sheet().requirePart(code);
            for (Episode episode : lives.episodesOf(code)) {
                if (episode.round() == round.number() && !part.isPowerDown()) {
                    parts++;
                    int at = Math.max(episode.offAt(), episode.onAt());
                    last = Math.max(last, at);
                    running = part.group().stopsTheMovement() ? Math.max(running, at) : running;
                }
            }
        }
        if (parts > 0) {
            String why = round.reason() == OpenedAgain.Reason.NOT_SAID
                    ? ""
                    : ", " + round.reason().words();
            String what = round.number() == 1 ? "taken apart and put together" : "opened again";
            int at = running > 0 ? running : last;
            found.add(new Intervention(
                    at,
                    history.at(at).orElse(Instant.EPOCH),
                    "%s%s: %d %s".formatted(what, why, parts, parts == 1 ? "part" : "parts")));
        }
    }

    /** Those that lie between two sets, whichever of the two came first. */
    public static List<Intervention> between(List<Intervention> all, ReadingSet before, ReadingSet after) {
        int from = Math.min(before.lastAt(), after.lastAt());
        int to = Math.max(before.firstAt(), after.firstAt());
        return all.stream().filter(i -> i.at() > from && i.at() < to).toList();
    }
}
