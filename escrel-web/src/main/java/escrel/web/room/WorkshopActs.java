package escrel.web.room;

import escrel.core.cleaning.JarFilled;
import escrel.core.cleaning.LoadStarted;
import escrel.core.cleaning.ProgrammeKept;
import escrel.core.clock.ClockEnded;
import escrel.core.clock.ClockMoved;
import escrel.core.clock.ClockStarted;
import escrel.core.lubrication.BottleGone;
import escrel.core.lubrication.BottleKept;
import escrel.core.mainspring.SpringsListed;
import escrel.core.marks.YearsKept;
import escrel.core.parts.PlayLimits;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.core.service.StepKind;
import escrel.core.supply.Stores;
import escrel.core.workshop.OwnersMerged;
import escrel.core.workshop.WatchesMerged;
import escrel.web.storage.WorkshopLogs;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Which acts of the workshop are said, and taken back, on which page. */
@Component("workshopActs")
public class WorkshopActs {
    /** Pages on which the workshop says something. */
    public enum Page {
        STORES("/parts/stores", types(Stores.KINDS)),
        WATCHES("/watches", Set.of(OwnersMerged.class, WatchesMerged.class)),
        CLOCKS("/clocks", Set.of(ClockStarted.class, ClockEnded.class, ClockMoved.class)),
        BOTTLES("/parts/bottles", Set.of(BottleKept.class, BottleGone.class)),
        PLAY("/settings/play", Set.of(PlayLimits.class)),
        YEARS("/settings/years", Set.of(YearsKept.class)),
        /** On the wash of a job. */
        MACHINE("/wash", Set.of(LoadStarted.class, JarFilled.class, ProgrammeKept.class)),
        /** On the mainspring of a job. */
        SPRINGS("/mainspring", Set.of(SpringsListed.class));

        private final String path;
        private final Set<Class<? extends Step>> kinds;

        Page(String path, Set<Class<? extends Step>> kinds) {
            this.path = path;
            this.kinds = kinds;
        }

        private static Set<Class<? extends Step>> types(List<StepKind<?>> kinds) {
            return kinds.stream().map(StepKind::type).collect(Collectors.toUnmodifiableSet());
        }

        /**
         * Its address.
         *
         * @param job on whose page it was pressed, where it is one of a job
         */
        public String address(@Nullable Integer job) {
            boolean ofAJob = this == MACHINE || this == SPRINGS;
            return ofAJob ? (job == null ? "/" : "/jobs/" + job + path) : path;
        }
    }

    /** The newest act of a page that counts, in words. */
    public record Last(int act, String words) {}

    private final WorkshopLogs log;

    WorkshopActs(WorkshopLogs log) {
        this.log = log;
    }

    /** What would be taken back on a page; nothing where nothing was said there, for a template. */
    public @Nullable Last last(String page) {
        return newest(Page.valueOf(page))
                .map(e -> new Last(e.sequence(), log.load().words(e)))
                .orElse(null);
    }

    private Optional<RecordedStep> newest(Page page) {
        return log.load().acts().counting().stream()
                .filter(e -> page.kinds.contains(e.step().getClass()))
                .reduce((earlier, later) -> later);
    }

    /** Whether an act is still the newest of its page. */
    public boolean isNewest(Page page, int act) {
        return newest(page).filter(e -> e.sequence() == act).isPresent();
    }
}
