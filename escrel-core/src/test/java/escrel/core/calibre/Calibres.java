package escrel.core.calibre;

import escrel.core.Jobs;
import escrel.core.service.PartOff;
import escrel.core.service.Step;
import escrel.core.service.WorkAgreed;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;

/** Small and random calibres for tests. */
public final class Calibres {
    private Calibres() {}

    /** A movement of a few parts with the roles the rules know, no shock setting. */
    public static CalibreSheet small() {
        return of(
                List.of(
                        Part.of("back", "Back", Group.CASE, Side.TRAIN).withRole(Role.CASE_BACK),
                        Part.of("dial", "Dial", Group.DIAL_AND_HANDS, Side.DIAL).withRole(Role.DIAL),
                        Part.of("cock", "Balance with cock", Group.BALANCE_AND_ESCAPEMENT, Side.TRAIN)
                                .withRole(Role.BALANCE_COCK),
                        Part.of("power", "Power let down", Group.BALANCE_AND_ESCAPEMENT, Side.TRAIN)
                                .withRole(Role.POWER_DOWN),
                        Part.of("pallets", "Pallet bridge", Group.BALANCE_AND_ESCAPEMENT, Side.TRAIN)
                                .withRole(Role.PALLET_BRIDGE),
                        Part.of("ratchet", "Ratchet wheel", Group.BARREL, Side.TRAIN)
                                .withRole(Role.RATCHET_WHEEL),
                        Part.of("bridge", "Train bridge", Group.TRAIN, Side.TRAIN)
                                .withRole(Role.TRAIN_BRIDGE),
                        Part.of("wheel", "Third wheel", Group.TRAIN, Side.TRAIN),
                        Part.of("yoke", "Yoke", Group.KEYLESS, Side.DIAL)),
                List.of(
                        hold("dial", "back"),
                        hold("cock", "back"),
                        hold("pallets", "cock"),
                        hold("bridge", "ratchet"),
                        hold("wheel", "bridge"),
                        hold("yoke", "dial")));
    }

    /** A sheet of these parts and holds with plausible data. */
    public static CalibreSheet of(List<Part> parts, List<Hold> holds) {
        return new CalibreSheet(
                "test",
                "Test calibre",
                new CalibreData(
                        25,
                        18_000.0,
                        50.0,
                        17,
                        CalibreData.Setting.NONE,
                        CalibreData.Stud.FIXED,
                        WatchClass.VINTAGE_NO_SHOCK_SETTING,
                        ""),
                null,
                parts,
                List.of(),
                holds,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                null,
                List.of());
    }

    /** The same sheet with other holds. */
    public static CalibreSheet withHolds(CalibreSheet sheet, Hold... more) {
        List<Hold> holds = new ArrayList<>(sheet.holds());
        holds.addAll(Arrays.asList(more));
        return of(sheet.parts(), holds);
    }

    public static Hold hold(String part, String by) {
        return new Hold(part, by, "under " + by, Hold.Basis.STATED);
    }

    /** Random parts on both sides and in the hand, with random holds that form no ring. */
    public static CalibreSheet random(long seed, int size) {
        Random random = new Random(seed);
        List<Part> parts = new ArrayList<>();
        List<Hold> holds = new ArrayList<>();
        for (int i = 0; i < size; i++) {
            Side side = Side.values()[random.nextInt(10) == 0 ? 2 : random.nextInt(2)];
            parts.add(Part.of("p" + i, "Part " + i, Group.values()[random.nextInt(Group.values().length)], side));
            for (int h = 0; h < 2 && i > 0; h++) {
                if (random.nextInt(3) > 0) {
                    // held by an earlier one, so no ring
                    holds.add(hold("p" + i, "p" + random.nextInt(i)));
                }
            }
        }
        // the order of the sheet must not be the answer
        Collections.shuffle(parts, random);
        return of(parts, holds);
    }

    /** The same movement with roles strewn over its parts, so that every rule finds something to say. */
    public static CalibreSheet withRoles(CalibreSheet sheet, long seed) {
        Random random = new Random(seed);
        List<Part> parts = new ArrayList<>(sheet.parts());
        for (Role role : Role.values()) {
            if (role == Role.STAYS_IN_CASE) {
                // comes off only when it is wanted
                continue;
            }
            int at = random.nextInt(parts.size());
            parts.set(at, parts.get(at).withRole(role));
        }
        return of(parts, sheet.holds());
    }

    /** The same sheet with another balance setting. */
    public static CalibreSheet with(CalibreSheet sheet, CalibreData.Setting setting) {
        CalibreData d = sheet.data();
        return sheet.called(
                sheet.id(),
                sheet.name(),
                new CalibreData(
                        d.diameterMillimetres(),
                        d.beatsPerHour(),
                        d.liftAngleDegrees(),
                        d.jewels(),
                        setting,
                        d.stud(),
                        d.watchClass(),
                        d.description()),
                sheet.pictures());
    }

    /** The small movement with an oil point and a test under the code of one of its parts. */
    public static CalibreSheet withPointAndTestCalled(String part) {
        CalibreSheet sheet = small();
        return charted(
                sheet,
                List.of(new OilPoint(
                        part, "Point", part, Side.TRAIN, LubricantClass.FINE_OIL, "", "bridge", null, 0, 0, "")),
                List.of(new AssemblyTest(part, "Test", Side.TRAIN, "bridge", null, "")));
    }

    /** The same sheet with these points and tests. */
    public static CalibreSheet charted(CalibreSheet sheet, List<OilPoint> points, List<AssemblyTest> tests) {
        return new CalibreSheet(
                sheet.id(),
                sheet.name(),
                sheet.data(),
                sheet.stemRelease(),
                sheet.parts(),
                sheet.screws(),
                sheet.holds(),
                sheet.earlyIns(),
                points,
                tests,
                sheet.jewels(),
                sheet.train(),
                sheet.traps());
    }

    /** The steps of a whole teardown as proposed, kept by the rules of today. */
    public static Step[] allOff(CalibreSheet sheet) {
        List<Step> steps = new ArrayList<>(List.of(new WorkAgreed(WorkAgreed.Work.SERVICE, "")));
        Jobs.of(sheet).wayDown().remaining().forEach(p -> steps.add(PartOff.plain(p.code())));
        return steps.toArray(Step[]::new);
    }
}
