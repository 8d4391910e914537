package escrel.web.list;

import escrel.core.handover.Stage;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * A job as a list shows it.
 *
 * @param room the page where its next act is done; of one that went back, the turn
 * @param progress which of the stages it has reached, 1 to 9
 * @param due the clock that runs, in words; empty when none does
 * @param waits what it waits for beside the clock, in words
 * @param open how much is open in which room, in words
 */
public record Listed(
        ListMapper.Line line,
        String stageWords,
        String room,
        int progress,
        String due,
        List<String> waits,
        String open) {
    /** A line as shown now. */
    public static Listed of(ListMapper.Line line, Instant now) {
        Stage stage = Stage.valueOf(line.stage());
        return new Listed(
                line,
                words(stage),
                room(line, stage),
                stage.ordinal() + 1,
                due(line, now),
                waits(line.waits()),
                open(line));
    }

    /** A stage in words. */
    public static String words(Stage stage) {
        return stage.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    private static String room(ListMapper.Line line, Stage stage) {
        return switch (stage) {
            case ARRIVED -> "readings";
            case READ -> line.calibreName() == null ? "arrival" : "strip";
            case STRIPPING -> "strip";
            case INSPECTING -> line.nextAct().startsWith("clean") ? "wash" : "inspect";
            case CLEAN, CLIMBING -> "climb";
            case HANDED_OVER -> "turn";
            default -> "handover";
        };
    }

    /** What a job waits for, in words; a reading has its clock. */
    private static final Map<String, String> WAITS = Map.of(
            "OWNER", "waits for the owner's answer",
            "PART", "waits for a part",
            "OUTWORK", "work is out of the house");

    private static List<String> waits(String names) {
        return Arrays.stream(names.split(" "))
                .filter(WAITS::containsKey)
                .map(WAITS::get)
                .toList();
    }

    /** The page where it is seen what it waits for. */
    public String where(String wait) {
        return wait.equals(WAITS.get("OWNER")) ? "/jobs/" + line.number() + "/owner" : "/parts";
    }

    private static String open(ListMapper.Line line) {
        return line.open().replace("\t", " ").replace("\n", " · ");
    }

    /** What is due, and in how long. */
    private static String due(ListMapper.Line line, Instant now) {
        if (line.dueAt() == null || line.dueWords() == null) {
            return "";
        }
        Duration left = Duration.between(now, line.dueAt().toInstant());
        long hours = Math.abs(left.toMinutes() + (left.isNegative() ? -30 : 30)) / 60;
        String when = hours < 1 ? "now" : hours + " h";
        return line.dueWords() + (hours < 1 ? ": now" : left.isNegative() ? ": due since " + when : ": in " + when);
    }
}
