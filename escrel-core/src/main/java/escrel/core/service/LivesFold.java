package escrel.core.service;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Side;
import escrel.core.order.Power;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/** Goes through the steps once and gathers what {@link Lives} answers. */
final class LivesFold {
    /** A round while it is gathered. */
    static final class OpenRound {
        private final int number;
        private final int startsAt;
        private final boolean fresh;
        private final OpenedAgain.Reason reason;
        private final String words;
        private String target;
        private final Set<String> lifted = new LinkedHashSet<>();
        final Set<String> onAgain = new LinkedHashSet<>();
        final Set<String> leftFitted = new LinkedHashSet<>();
        private boolean anythingOff;
        private boolean readSinceOn;

        private OpenRound(int number, int startsAt, @Nullable OpenedAgain opened, OpenedAgain.Reason reason) {
            this.number = number;
            this.startsAt = startsAt;
            this.fresh = opened != null;
            this.reason = opened == null ? reason : opened.reason();
            this.words = opened == null ? "" : opened.words();
            this.target = opened == null ? "" : opened.target();
        }

        Round asRound() {
            return new Round(number, startsAt, reason, words, target, List.copyOf(lifted), fresh);
        }
    }

    final CalibreSheet sheet;
    final Map<String, List<Episode>> episodes = new LinkedHashMap<>();
    final List<OpenRound> rounds = new ArrayList<>();
    final Set<String> visiting = new LinkedHashSet<>();
    final Map<String, LeftOut> leftOut = new LinkedHashMap<>();
    final Set<String> statesSet = new HashSet<>();
    final Map<String, Integer> eased = new HashMap<>();
    final Map<String, Lives.ToCome> screwsToCome = new HashMap<>();

    @Nullable
    Side sideUp;

    String lastGroup = "";
    int lastMovedAt;
    boolean crownRefused;

    private final Map<String, Part> parts = new HashMap<>();
    private final Set<String> homesOff = new HashSet<>();

    private LivesFold(CalibreSheet sheet) {
        this.sheet = sheet;
        sheet.parts().forEach(p -> parts.put(p.code(), p));
        rounds.add(new OpenRound(1, 0, null, OpenedAgain.Reason.NOT_SAID));
    }

    static Lives of(CalibreSheet sheet, JobHistory history) {
        LivesFold fold = new LivesFold(sheet);
        history.counting().forEach(fold::take);
        return new Lives(fold);
    }

    OpenRound round() {
        return rounds.get(rounds.size() - 1);
    }

    private void take(RecordedStep entry) {
        Step step = entry.step();
        int at = entry.sequence();
        if (step instanceof PartOff off) {
            known(off.part(), part -> takeOff(part, off, at));
        } else if (step instanceof PartOn on) {
            known(on.part(), part -> putOn(part, at));
        } else if (step instanceof Visit visit) {
            known(visit.part(), part -> visit(part, visit));
        } else if (step instanceof OpenedAgain opened) {
            open(opened, at);
        } else if (step instanceof PowerNoted noted) {
            power(noted, at);
        } else if (step instanceof LeftOut out) {
            known(out.part(), part -> leftOut.put(part.code(), out));
        } else if (step instanceof LeftFitted left) {
            left.parts().forEach(p -> known(p, part -> round().leftFitted.add(part.code())));
        } else if (step instanceof StateSet set) {
            statesSet.add(set.part());
        } else if (step instanceof Eased ease) {
            known(ease.part(), part -> eased.put(part.code(), at));
        } else if (step instanceof Tightened tight) {
            eased.remove(tight.part());
            screwsToCome.remove(tight.part());
        } else if (step instanceof ScrewsToCome come) {
            screwsToCome(come, at);
        } else if (step instanceof WayInPlanned way && (way.target().isEmpty() || parts.containsKey(way.target()))) {
            round().target = way.target();
        } else {
            otherwise(step, at);
        }
        Side side = step.workedOn(sheet);
        if (side != null && side != Side.IN_HAND) {
            sideUp = side;
        }
    }

    private void otherwise(Step step, int at) {
        String empty = step.emptyHome();
        if (empty != null) {
            known(empty, part -> emptyHome(part, at));
        }
        switch (step.effect(sheet)) {
            case WINDS -> raise(at);
            case READS_RUNNING -> {
                raise(at);
                round().readSinceOn = true;
            }
            default -> {
                // nothing about the movement
            }
        }
    }

    private void known(String code, Consumer<Part> act) {
        Part part = parts.get(code);
        if (part != null) {
            act.accept(part);
        }
    }

    private boolean isOff(String part) {
        List<Episode> all = episodes.get(part);
        return all != null && all.get(all.size() - 1).isOpen();
    }

    private void takeOff(Part part, PartOff off, int at) {
        visiting.remove(part.code());
        round().leftFitted.remove(part.code());
        if (isOff(part.code())) {
            return;
        }
        if (beginsRound()) {
            begin(null, at);
        }
        begin(part, new Episode(part.code(), round().number, at, off, 0));
        // what is off needs no tightening in its place
        eased.remove(part.code());
        screwsToCome.remove(part.code());
        if (part.isPowerDown()) {
            crownRefused = false;
        } else {
            homesOff.add(part.code());
            round().anythingOff = true;
            lastMovedAt = at;
        }
        lastGroup = part.group().name();
    }

    /** Nothing was off, though something had been; or it was read after something had gone on. Source: craft 9. */
    private boolean beginsRound() {
        OpenRound now = round();
        boolean whole = homesOff.stream().allMatch(leftOut::containsKey);
        boolean wentOn = now.onAgain.stream().anyMatch(p -> !isPower(p));
        return now.anythingOff && wentOn && (whole || now.readSinceOn);
    }

    private void screwsToCome(ScrewsToCome come, int at) {
        // a part that is off has all its screws to come
        if (parts.containsKey(come.part()) && !isOff(come.part())) {
            screwsToCome.put(come.part(), new Lives.ToCome(come.count(), at));
        }
    }

    private void begin(Part part, Episode episode) {
        episodes.computeIfAbsent(part.code(), k -> new ArrayList<>()).add(episode);
        round().lifted.add(part.code());
        round().onAgain.remove(part.code());
        leftOut.remove(part.code());
    }

    private void begin(@Nullable OpenedAgain opened, int at) {
        OpenRound now = round();
        boolean untouched = !now.anythingOff;
        // said again before anything came off: the latest counts
        OpenRound next =
                new OpenRound(untouched ? now.number : now.number + 1, at, opened, OpenedAgain.Reason.NOT_SAID);
        if (untouched) {
            rounds.remove(rounds.size() - 1);
        }
        rounds.add(next);
        crownRefused = false;
        // what was off still when it began is business of the new round
        episodes.forEach((part, all) -> {
            if (all.get(all.size() - 1).isOpen() && !leftOut.containsKey(part)) {
                next.lifted.add(part);
                next.anythingOff |= !isPower(part);
            }
        });
    }

    private void open(OpenedAgain opened, int at) {
        if (!opened.target().isEmpty() && !parts.containsKey(opened.target())) {
            begin(new OpenedAgain(opened.reason(), "", opened.words()), at);
        } else {
            begin(opened, at);
        }
    }

    private void emptyHome(Part part, int at) {
        if (!part.isPowerDown() && !episodes.containsKey(part.code())) {
            begin(part, new Episode(part.code(), round().number, at, null, 0));
            homesOff.add(part.code());
        }
    }

    private void putOn(Part part, int at) {
        if (!isOff(part.code())) {
            return;
        }
        close(part.code(), at);
        visiting.remove(part.code());
        leftOut.remove(part.code());
        homesOff.remove(part.code());
        statesSet.remove(part.code());
        round().readSinceOn = false;
        lastMovedAt = at;
        lastGroup = part.group().name();
    }

    private void close(String part, int at) {
        List<Episode> all = episodes.get(part);
        if (all != null) {
            all.set(all.size() - 1, all.get(all.size() - 1).closedAt(at));
            round().onAgain.remove(part);
            round().onAgain.add(part);
        }
    }

    private void visit(Part part, Visit visit) {
        if (visit.act() == Visit.Act.BEGIN && isOff(part.code())) {
            visiting.add(part.code());
        } else if (visit.act() == Visit.Act.END) {
            visiting.remove(part.code());
        }
    }

    private void power(PowerNoted noted, int at) {
        if (noted.what() == PowerNoted.What.WOUND) {
            raise(at);
        } else if (noted.what() == PowerNoted.What.LET_GO_NOW) {
            sheet.allWithRole(Role.POWER_DOWN).stream()
                    .filter(p -> !isOff(p.code()) && bearsOn(p, noted.part()))
                    .forEach(p -> begin(p, new Episode(p.code(), round().number, at, PartOff.plain(p.code()), 0)));
        } else {
            crownRefused = true;
        }
    }

    private boolean bearsOn(Part power, String at) {
        Part part = parts.get(at);
        return part == null ? !Power.isOfAlarm(power) : Power.holds(power, part);
    }

    /** The going power is up: it was wound, or ran and so was wound before. An alarm is wound by itself. */
    private void raise(int at) {
        for (Part power : sheet.allWithRole(Role.POWER_DOWN)) {
            if (!Power.isOfAlarm(power) && isOff(power.code())) {
                close(power.code(), at);
            }
        }
    }

    private boolean isPower(String part) {
        Part known = parts.get(part);
        return known != null && known.isPowerDown();
    }
}
