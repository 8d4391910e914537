package escrel.web.list;

import escrel.core.handover.Stage;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Jobs that were asked for: the one of that number first, then those in the house, then those that went back. */
@Component
public class JobList {
    private final ListMapper mapper;

    JobList(ListMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * Some of the jobs that were asked for.
     *
     * @param atStage how many there are at each stage, as {@link #counts} says
     * @param from how many of the first are left out
     */
    @Transactional(readOnly = true)
    public List<ListMapper.Line> found(Wanted wanted, Map<Stage, Integer> atStage, int from, int most) {
        List<ListMapper.Line> first = wanted.number() == null ? List.of() : mapper.ofNumber(wanted);
        List<ListMapper.Line> all = new ArrayList<>(from == 0 ? first : List.of());
        int skip = Math.max(0, from - first.size());
        if (wanted.stage() != null) {
            all.addAll(mapper.found(wanted, false, skip, most - all.size()));
            return all;
        }
        all.addAll(mapper.found(wanted, false, skip, most - all.size()));
        if (all.size() < most) {
            int house = atStage.entrySet().stream()
                    .filter(e -> e.getKey() != Stage.HANDED_OVER)
                    .mapToInt(Map.Entry::getValue)
                    .sum();
            boolean firstInHouse = !first.isEmpty() && !first.get(0).stage().equals(Stage.HANDED_OVER.name());
            int otherInHouse = house - (firstInHouse ? 1 : 0);
            all.addAll(mapper.found(wanted, true, Math.max(0, skip - otherInHouse), most - all.size()));
        }
        return all;
    }

    /** How many of the jobs that were asked for stand at each stage. */
    @Transactional(readOnly = true)
    public Map<Stage, Integer> counts(Wanted wanted) {
        Map<Stage, Integer> counts = new EnumMap<>(Stage.class);
        mapper.counts(wanted).forEach(c -> counts.put(Stage.valueOf(c.stage()), c.jobs()));
        return counts;
    }
}
