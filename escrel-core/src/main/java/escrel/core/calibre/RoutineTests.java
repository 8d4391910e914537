package escrel.core.calibre;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What every movement goes through on the way up, whether its sheet says so or not: running, it is demagnetised, then timed bare;
 * a date that is tried once the calendar is built is tried again with the dial on and with the hands on. A sheet that lists such
 * a test itself keeps its own. Source: craft 2.13, 2.14, 2.17, 6; M18.
 */
final class RoutineTests {
    /** Code of the routine line of demagnetising. */
    static final String DEMAGNETISE = "routine-demagnetise";

    /** Code of the routine line of the first readings. */
    static final String TIMED = "routine-timed";

    /** Code of the date change with the dial on. */
    static final String DATE_DIAL_ON = "routine-date-dial";

    /** Code of the date change with the hands on. */
    static final String DATE_HANDS_ON = "routine-date-hands";

    private RoutineTests() {}

    /** The sheet's tests and the routine ones it does not list. */
    static List<AssemblyTest> with(CalibreSheet sheet) {
        List<AssemblyTest> all = new ArrayList<>(sheet.tests());
        sheet.withRole(Role.BALANCE_COCK).ifPresent(cock -> {
            if (!has(sheet, AssemblyTest.Proof.DEMAGNETISED)) {
                all.add(new AssemblyTest(
                        DEMAGNETISE,
                        "Demagnetise the running movement",
                        Side.IN_HAND,
                        cock.code(),
                        null,
                        "Two or three slow, even passes right through and away, then the compass. People with"
                                + " pacemakers keep away from a demagnetiser.",
                        AssemblyTest.Proof.DEMAGNETISED));
            }
            if (!has(sheet, AssemblyTest.Proof.READING)) {
                all.add(new AssemblyTest(
                        TIMED,
                        "First readings of the bare movement",
                        Side.IN_HAND,
                        cock.code(),
                        null,
                        "Wound, dial up and dial down at least. A reading settles this line; no key does.",
                        AssemblyTest.Proof.READING));
            }
        });
        dateAgain(sheet, all);
        return List.copyOf(all);
    }

    /** Three times in all: a sheet that lists more than one change keeps its own. */
    private static void dateAgain(CalibreSheet sheet, List<AssemblyTest> all) {
        Optional<Part> dial = sheet.withRole(Role.DIAL);
        if (dial.isEmpty()
                || sheet.tests().stream().filter(AssemblyTest::isDateChange).count() != 1) {
            return;
        }
        List<Part> hands = sheet.parts().stream()
                .filter(p -> p.group() == Group.DIAL_AND_HANDS && !p.equals(dial.get()))
                .toList();
        Set<String> codes = hands.stream().map(Part::code).collect(Collectors.toSet());
        hands.stream()
                .filter(h -> sheet.holdsOn(dial.get().code()).stream()
                        .anyMatch(hold -> hold.by().equals(h.code())))
                .reduce((a, b) -> b)
                .ifPresent(first -> all.add(new AssemblyTest(
                        DATE_DIAL_ON,
                        "Date changes with the dial on",
                        Side.DIAL,
                        dial.get().code(),
                        first.code(),
                        "Over two turns it changes once, and nothing of the ring rubs under the dial.")));
        hands.stream()
                .filter(h -> sheet.holdsOn(h.code()).stream().noneMatch(hold -> codes.contains(hold.by())))
                .findFirst()
                .ifPresent(
                        last -> all.add(
                                new AssemblyTest(
                                        DATE_HANDS_ON,
                                        "Date changes with the hands on",
                                        Side.DIAL,
                                        last.code(),
                                        sheet.part(CalibreSheet.CASED)
                                                .map(Part::code)
                                                .orElse(null),
                                        "The hour hand stands where it has just changed, at 12; within ten minutes of midnight is good.")));
    }

    private static boolean has(CalibreSheet sheet, AssemblyTest.Proof proof) {
        return sheet.tests().stream().anyMatch(t -> t.proof() == proof);
    }
}
