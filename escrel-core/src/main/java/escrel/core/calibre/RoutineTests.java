package escrel.core.calibre;

import java.util.ArrayList;
import java.util.List;

/**
 * What every running movement goes through before dial and hands go on, whether its sheet says so or not: it is
 * demagnetised, then timed bare. A sheet that lists such a test itself keeps its own. Source: craft 2.13, 2.14, 6.
 */
final class RoutineTests {
    /** Code of the routine line of demagnetising. */
    static final String DEMAGNETISE = "routine-demagnetise";

    /** Code of the routine line of the first readings. */
    static final String TIMED = "routine-timed";

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
        return List.copyOf(all);
    }

    private static boolean has(CalibreSheet sheet, AssemblyTest.Proof proof) {
        return sheet.tests().stream().anyMatch(t -> t.proof() == proof);
    }
}
