package escrel.web.today;

import escrel.core.handover.Stage;
import escrel.web.ground.Ground;
import escrel.web.upkeep.Backups;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ResponseBody;

/** The first page. */
@Controller
class TodayController {
    private final TodayMapper mapper;
    private final Backups backups;
    private final Ground ground;
    private final Clock clock;

    TodayController(TodayMapper mapper, Backups backups, Ground ground, Clock clock) {
        this.ground = ground;
        this.backups = backups;
        this.mapper = mapper;
        this.clock = clock;
    }

    /** A job for other programs. */
    record Listed(int number, String watch, @Nullable String calibre, String stage) {}

    /**
     * A job as shown.
     *
     * @param room the page where its next act is done
     * @param progress which of the stages it has reached, 1 to 9
     */
    record Row(TodayMapper.Line line, String stageWords, String room, int progress, String due) {
        static Row of(TodayMapper.Line line, Instant now) {
            Stage stage = Stage.valueOf(line.stage());
            String room = switch (stage) {
                case ARRIVED -> "readings";
                case READ -> line.calibreName() == null ? "arrival" : "strip";
                case STRIPPING -> "strip";
                case INSPECTING -> line.nextAct().startsWith("clean") ? "wash" : "inspect";
                case CLEAN, CLIMBING -> "climb";
                default -> "handover";
            };
            return new Row(
                    line, stage.name().toLowerCase().replace('_', ' '), room, stage.ordinal() + 1, due(line, now));
        }

        /** The clock that runs, in words: what is due, and in how long. */
        private static String due(TodayMapper.Line line, Instant now) {
            if (line.dueAt() == null || line.dueWords() == null) {
                return "";
            }
            Duration left = Duration.between(now, line.dueAt().toInstant());
            long hours = Math.abs(left.toMinutes() + (left.isNegative() ? -30 : 30)) / 60;
            String when = hours < 1 ? "now" : hours + " h";
            return line.dueWords() + (hours < 1 ? ": now" : left.isNegative() ? ": due since " + when : ": in " + when);
        }
    }

    @GetMapping("/")
    String today(Model model) {
        model.addAttribute(
                "house",
                mapper.inTheHouse().stream()
                        .map(l -> Row.of(l, clock.instant()))
                        .toList());
        model.addAttribute(
                "gone",
                mapper.lastGone().stream().map(l -> Row.of(l, clock.instant())).toList());
        model.addAttribute("told", ground.told());
        model.addAttribute("backup", backups.newest().orElse(null));
        model.addAttribute("backupLate", backups.isOverdue());
        model.addAttribute("backupFault", backups.fault().orElse(null));
        return "today/today";
    }

    @GetMapping("/jobs.json")
    @ResponseBody
    List<Listed> jobs() {
        return mapper.all().stream()
                .map(l -> new Listed(l.number(), l.watch(), l.calibreName(), l.stage()))
                .toList();
    }
}
