package escrel.web.job;

import escrel.core.handover.Stage;
import escrel.core.parts.Copy;
import escrel.core.supply.Want;
import escrel.web.storage.OpenWants;
import escrel.web.storage.SupplyMapper;
import escrel.web.storage.SupplyMapper.CopyRow;
import escrel.web.storage.SupplyMapper.WantRow;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What a job wants from elsewhere and what was brought into it, as the parts desk reads it. Only what changed is written. */
@Component
class SupplyLines {
    private static final int LONGEST = 200;
    private static final int LONGEST_WORDS = 400;

    private final SupplyMapper mapper;
    private final OpenWants open;

    SupplyLines(SupplyMapper mapper, OpenWants open) {
        this.mapper = mapper;
        this.open = open;
    }

    /** Writes the difference between what stood before and what stands now. */
    void write(OpenJob before, OpenJob job) {
        Map<String, WantRow> oldWants = wants(before);
        Map<String, WantRow> wants = wants(job);
        move(oldWants, wants, mapper::putWant, gone -> mapper.dropWant(gone.job(), gone.want()));
        if (!oldWants.equals(wants)) {
            open.changed(job.number());
        }
        move(
                copies(before),
                copies(job),
                mapper::putCopy,
                gone -> mapper.dropCopy(gone.job(), gone.part(), gone.copy()));
    }

    private static <R> void move(Map<String, R> old, Map<String, R> now, Consumer<R> put, Consumer<R> drop) {
        now.forEach((key, row) -> {
            if (!row.equals(old.get(key))) {
                put.accept(row);
            }
        });
        Set<String> gone = new HashSet<>(old.keySet());
        gone.removeAll(now.keySet());
        gone.forEach(key -> drop.accept(old.get(key)));
    }

    /** All of a job that has none. */
    void add(OpenJob job) {
        mapper.dropWantsOf(job.number());
        mapper.dropCopiesOf(job.number());
        wants(job).values().forEach(mapper::putWant);
        copies(job).values().forEach(mapper::putCopy);
        open.changed(job.number());
    }

    void clear() {
        open.allChanged();
        mapper.clearWants();
        mapper.clearCopies();
    }

    private static Map<String, WantRow> wants(OpenJob job) {
        Map<String, WantRow> rows = new LinkedHashMap<>();
        for (Want want : job.job().supply().wants()) {
            if (job.stage() == Stage.HANDED_OVER && !outlasts(want)) {
                continue;
            }
            rows.put(
                    want.key(),
                    new WantRow(
                            job.number(),
                            want.key(),
                            want.state().name(),
                            want.part(),
                            cut(want.what(), LONGEST_WORDS),
                            cut(want.from(), LONGEST),
                            at(want.since()),
                            want.expected() == null ? null : want.expected().toString(),
                            want.price(),
                            want.size(),
                            cut(want.words(), LONGEST_WORDS)));
        }
        return rows;
    }

    /** Of a watch that went back only what is still on its way, or was ordered once, stands on the desk. */
    private static boolean outlasts(Want want) {
        return want.state().isAwaited() || want.state().isOver() || want.state() == Want.State.TO_CHECK;
    }

    private static Map<String, CopyRow> copies(OpenJob job) {
        Map<String, CopyRow> rows = new LinkedHashMap<>();
        for (Copy copy : job.job().copies().broughtIn()) {
            Instant since = job.history().recorded().get(copy.since() - 1).at();
            rows.put(
                    copy.part() + " " + copy.number(),
                    new CopyRow(
                            job.number(),
                            copy.part(),
                            copy.number(),
                            copy.origin().name(),
                            cut(copy.source(), LONGEST),
                            copy.from(),
                            cut(copy.words(), LONGEST_WORDS),
                            at(since),
                            copy.fittedAt() > 0));
        }
        return rows;
    }

    private static String cut(@Nullable String text, int most) {
        String kept = text == null ? "" : text;
        return kept.length() <= most ? kept : kept.substring(0, most);
    }

    private static OffsetDateTime at(Instant instant) {
        return instant.atZone(ZoneId.systemDefault()).toOffsetDateTime();
    }
}
