package escrel.core.calibre;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * Which calibre it may be: each sheet held against what is known of a movement whose calibre nobody knows. Nothing is decided;
 * what agrees and what differs is said with its figures. Source: craft 2.4. How near a diameter has to be is ours.
 */
public final class Candidates {
    /** Millimetres by which a measured diameter may differ. */
    private static final double NEAR = 0.2;

    /** Part of a beat rate by which a heard one may differ. */
    private static final double NEAR_BEAT = 0.01;

    private Candidates() {}

    /**
     * What is known.
     *
     * @param diameter of the movement, mm; nothing while it was not measured
     * @param jewels counted; nothing while they were not
     * @param beatsPerHour heard; nothing while it was not
     * @param numbers read on the movement, such as a calibre's under the balance
     * @param pushers whether the watch has pushers; nothing while nobody looked
     */
    public record Facts(
            @Nullable Double diameter,
            @Nullable Integer jewels,
            @Nullable Double beatsPerHour,
            List<String> numbers,
            @Nullable Boolean pushers) {
        public Facts {
            numbers = List.copyOf(numbers);
        }
    }

    /** One fact against one sheet. */
    public record Sign(boolean agrees, String words) {}

    /** A sheet with what speaks for and against it. */
    public record Candidate(CalibreSheet sheet, List<Sign> signs) {
        public Candidate {
            signs = List.copyOf(signs);
        }

        /** How many facts agree. */
        public long agreeing() {
            return signs.stream().filter(Sign::agrees).count();
        }

        /** How many differ. */
        public long differing() {
            return signs.size() - agreeing();
        }
    }

    /** The sheets with the fewest facts against them first, of those the ones with the most for them. */
    public static List<Candidate> of(Collection<CalibreSheet> sheets, Facts facts) {
        return sheets.stream()
                .map(s -> new Candidate(s, signs(s, facts)))
                .sorted(Comparator.comparingLong(Candidate::differing)
                        .thenComparing(
                                Comparator.comparingLong(Candidate::agreeing).reversed())
                        .thenComparing(c -> c.sheet().name()))
                .toList();
    }

    private static List<Sign> signs(CalibreSheet sheet, Facts facts) {
        List<Sign> signs = new ArrayList<>();
        CalibreData data = sheet.data();
        Double diameter = facts.diameter();
        if (diameter != null && data.diameterMillimetres() > 0) {
            double off = diameter - data.diameterMillimetres();
            signs.add(new Sign(
                    Math.abs(off) <= NEAR, String.format(Locale.ROOT, "%.1f mm across", data.diameterMillimetres())));
        }
        Integer jewels = facts.jewels();
        if (jewels != null && data.jewels() > 0) {
            signs.add(new Sign(jewels == data.jewels(), data.jewels() + " jewels"));
        }
        Double heard = facts.beatsPerHour();
        Double beat = data.beatsPerHour();
        if (heard != null && beat != null) {
            signs.add(new Sign(Math.abs(heard - beat) <= NEAR_BEAT * beat, Math.round(beat) + " beats an hour"));
        }
        facts.numbers().stream()
                .filter(n -> named(n, sheet))
                .findFirst()
                .ifPresent(n -> signs.add(new Sign(true, "“" + n + "” stands on it")));
        Boolean pushers = facts.pushers();
        if (pushers != null) {
            boolean has = !sheet.lore().pushers().isEmpty() || data.watchClass() == WatchClass.CHRONOGRAPH;
            signs.add(new Sign(pushers == has, has ? "it has pushers" : "it has none"));
        }
        return signs;
    }

    /** Whether a number is the calibre's, however it is spaced: "CV 12" and "cv-12". A lone digit names nothing. */
    private static boolean named(String number, CalibreSheet sheet) {
        String bare = bare(number);
        return bare.length() >= 2 && (bare(sheet.name()).endsWith(bare) || bare.equals(bare(sheet.id())));
    }

    private static String bare(String text) {
        return text.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]", "");
    }
}
