package escrel.web.list;

import escrel.core.handover.Stage;
import escrel.web.list.ListMapper.Line;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Jobs that were asked for: the one of that number first, then those in the house, then those that went back. Those in the
 * house changed last come first; of those that went back, where words were asked for, the last numbers.
 */
@Component
public class JobList {
    private final ListMapper mapper;
    private final SaidOfJobs saidOf;

    JobList(ListMapper mapper, SaidOfJobs saidOf) {
        this.mapper = mapper;
        this.saidOf = saidOf;
    }

    /**
     * Some of the jobs that were asked for.
     *
     * @param atStage how many of them there are at each stage, whichever stage was asked for
     */
    public record Found(Map<Stage, Integer> atStage, List<Line> jobs) {
        /** How many there are at any stage. */
        public int all() {
            return atStage.values().stream().mapToInt(Integer::intValue).sum();
        }
    }

    /**
     * Some of the jobs that were asked for.
     *
     * @param from how many of the first are left out
     * @param most so many at most
     */
    @Transactional(readOnly = true)
    public Found find(Wanted wanted, int from, int most) {
        if (wanted.wordless()) {
            return new Found(Map.of(), List.of());
        }
        return wanted.everything() ? ofAll(wanted.stage(), from, most) : ofWords(wanted, from, most);
    }

    /** By the index, so that as much is read as is shown, however many there are. */
    private Found ofAll(@Nullable Stage stage, int from, int most) {
        Map<Stage, Integer> counts = new EnumMap<>(Stage.class);
        mapper.counts().forEach(c -> counts.put(c.stage(), c.jobs()));
        if (stage != null) {
            return new Found(counts, mapper.at(stage, from, most));
        }
        List<Line> all = new ArrayList<>(mapper.at(null, from, most));
        if (all.size() < most) {
            int house = new Found(counts, List.of()).all() - counts.getOrDefault(Stage.HANDED_OVER, 0);
            all.addAll(mapper.at(Stage.HANDED_OVER, Math.max(0, from - house), most - all.size()));
        }
        return new Found(counts, all);
    }

    /**
     * What is said of jobs is looked up once. Of what was found only what is shown is read: what is not in the house went back, so
     * that no job need be asked where it stands.
     */
    private Found ofWords(Wanted wanted, int from, int most) {
        Map<Integer, Stage> house = new LinkedHashMap<>();
        mapper.inTheHouseWaiting(wanted.waitingFor()).forEach(j -> house.put(j.number(), j.stage()));
        Set<Integer> said = said(wanted, house.keySet());
        List<Integer> order = new ArrayList<>(house.keySet());
        order.retainAll(said);
        if (wanted.waitingFor() == null) {
            // sorted as bare numbers, the last first
            said.stream()
                    .filter(n -> !house.containsKey(n))
                    .mapToInt(n -> -n)
                    .sorted()
                    .forEach(n -> order.add(-n));
        }
        if (wanted.number() != null && order.remove(wanted.number())) {
            order.add(0, wanted.number());
        }
        Map<Stage, Integer> counts = new EnumMap<>(Stage.class);
        order.forEach(n -> counts.merge(house.getOrDefault(n, Stage.HANDED_OVER), 1, Integer::sum));
        List<Integer> shown = order.stream()
                .filter(n -> wanted.stage() == null || wanted.stage() == house.getOrDefault(n, Stage.HANDED_OVER))
                .skip(from)
                .limit(most)
                .toList();
        return new Found(counts, lines(shown));
    }

    /** Jobs of which every word is said; the one of the number that was typed; all of some where no word was. */
    private Set<Integer> said(Wanted wanted, Set<Integer> all) {
        if (wanted.words().isEmpty()) {
            return all;
        }
        Set<Integer> said = saidOf.each(wanted.words());
        if (wanted.number() != null && mapper.isThere(wanted.number())) {
            said.add(wanted.number());
        }
        return said;
    }

    private List<Line> lines(List<Integer> numbers) {
        if (numbers.isEmpty()) {
            return List.of();
        }
        return mapper.lines(numbers).stream()
                .sorted(Comparator.comparing(line -> numbers.indexOf(line.number())))
                .toList();
    }
}
