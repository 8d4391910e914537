package escrel.core.service;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The one fold of a job's steps over its movement: each part's episodes, the movement's rounds, the power, what lies in
 * for a visit, which side lies up. Every state of the job is asked of it, so that what was settled once counts only for
 * the episode in which it was settled. Running time grows with the steps. Source: craft 9.
 */
public final class Lives {
    private final CalibreSheet sheet;
    private final Map<String, List<Episode>> episodes;
    private final List<Round> rounds;
    private final Set<String> onAgain;
    private final Set<String> visiting;
    private final Map<String, LeftOut> leftOut;
    private final Set<String> leftFitted;
    private final Set<String> statesSet;
    private final Map<String, Integer> eased;
    private final Map<String, ToCome> screwsToCome;
    private final @Nullable Side sideUp;
    private final String lastGroup;
    private final int lastMovedAt;
    private final boolean crownRefused;

    Lives(LivesFold fold) {
        this.sheet = fold.sheet;
        Map<String, List<Episode>> copied = new LinkedHashMap<>();
        fold.episodes.forEach((part, all) -> copied.put(part, List.copyOf(all)));
        this.episodes = copied;
        this.rounds = fold.rounds.stream().map(LivesFold.OpenRound::asRound).toList();
        this.onAgain = new LinkedHashSet<>(fold.round().onAgain);
        this.leftFitted = new LinkedHashSet<>(fold.round().leftFitted);
        this.visiting = new LinkedHashSet<>(fold.visiting);
        this.leftOut = new LinkedHashMap<>(fold.leftOut);
        this.statesSet = Set.copyOf(fold.statesSet);
        this.eased = Map.copyOf(fold.eased);
        this.screwsToCome = Map.copyOf(fold.screwsToCome);
        this.sideUp = fold.sideUp;
        this.lastGroup = fold.lastGroup;
        this.lastMovedAt = fold.lastMovedAt;
        this.crownRefused = fold.crownRefused;
    }

    /** The lives after these steps. Steps on parts the sheet does not have are left aside: another sheet may have them. */
    public static Lives of(CalibreSheet sheet, JobHistory history) {
        return LivesFold.of(sheet, history);
    }

    /** The sheet these lives speak of. */
    public CalibreSheet sheet() {
        return sheet;
    }

    /** The rounds so far, the present one last; a movement never opened has one in which nothing came off. */
    public List<Round> rounds() {
        return rounds;
    }

    /** The present round. */
    public Round round() {
        return rounds.get(rounds.size() - 1);
    }

    /** Every stay of a part off the movement, first first; empty when it never came off. */
    public List<Episode> episodesOf(String part) {
        return episodes.getOrDefault(part, List.of());
    }

    /** Parts that came off at some time, in the order of their first time. */
    public Set<String> everOff() {
        return episodes.keySet();
    }

    /** The last stay of a part off the movement, whether it is over or not. */
    public Optional<Episode> episode(String part) {
        List<Episode> all = episodesOf(part);
        return all.isEmpty() ? Optional.empty() : Optional.of(all.get(all.size() - 1));
    }

    /** Sequence at which the part came off last; 0 when it never did. Whatever was done to it before is past. */
    public int offAt(String part) {
        return episode(part).map(Episode::offAt).orElse(0);
    }

    /** Whether a part is off now (a visit does not change that), or the power is down. */
    public boolean isOff(String part) {
        return episode(part).filter(Episode::isOpen).isPresent();
    }

    /** Parts that came off in the present round and are on again, in the order in which they went on. */
    public Set<String> onAgain() {
        return onAgain;
    }

    /** Parts that lie in the movement for a visit only. */
    public Set<String> visiting() {
        return visiting;
    }

    /** Homes left empty on purpose, with the reason; one that was fitted after all is no longer among them. */
    public Map<String, LeftOut> leftOut() {
        return leftOut;
    }

    /** Parts that stay where they are in the present round, by decision. */
    public Set<String> leftFitted() {
        return leftFitted;
    }

    /** Whether the state a part asks for before it is freed was said to be set since it went on last. */
    public boolean isStateSet(String part) {
        return statesSet.contains(part);
    }

    /** Parts eased in their place, with the sequence of the easing: to be tightened again. */
    public Map<String, Integer> eased() {
        return eased;
    }

    /**
     * Screws of a fitted part that are not in yet.
     *
     * @param count 1 and up
     * @param at sequence at which it was said
     */
    public record ToCome(int count, int at) {}

    /** Fitted parts some of whose screws are not in yet. */
    public Map<String, ToCome> screwsToCome() {
        return screwsToCome;
    }

    /** Since when a fitted part waits to be screwed tight, eased or with screws to come; 0 when it does not. */
    public int looseSince(String part) {
        ToCome come = screwsToCome.get(part);
        return Math.max(eased.getOrDefault(part, 0), come == null ? 0 : come.at());
    }

    /** The side that lay up in the last act that says so; nothing before any. */
    public Optional<Side> sideUp() {
        return Optional.ofNullable(sideUp);
    }

    /** Group of the part worked on last, or empty. */
    public String lastGroup() {
        return lastGroup;
    }

    /** Sequence of the last part that came off or went on for good; 0 before any. Readings before it are of another state. */
    public int lastMovedAt() {
        return lastMovedAt;
    }

    /** Whether the power of a spring is up, or nobody has let it down. */
    public boolean isPowerUp(Part power) {
        return !isOff(power.code());
    }

    /** Whether letting down by the crown or ratchet screw was refused in this round, so that the train is the way left. */
    public boolean isCrownRefused() {
        return crownRefused;
    }
}
