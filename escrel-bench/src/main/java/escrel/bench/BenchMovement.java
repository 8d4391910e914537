package escrel.bench;

import escrel.core.calibre.CalibreData;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Side;
import escrel.core.calibre.WatchClass;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** A movement drawn at random: every role once, each part under two of those before it. */
final class BenchMovement {
    private BenchMovement() {}

    static CalibreSheet ofParts(int count, long seed) {
        Random random = new Random(seed);
        List<Part> parts = new ArrayList<>();
        List<Hold> holds = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            Side side = random.nextInt(10) == 0 ? Side.IN_HAND : random.nextBoolean() ? Side.DIAL : Side.TRAIN;
            Group group = Group.values()[random.nextInt(Group.values().length)];
            Part part = Part.of("p" + i, "Part " + i, group, side);
            boolean role = i < Role.values().length && Role.values()[i] != Role.STAYS_IN_CASE;
            parts.add(role ? part.withRole(Role.values()[i]) : part);
            for (int h = 0; h < 2 && i > 0; h++) {
                holds.add(new Hold("p" + i, "p" + random.nextInt(i), "under it", Hold.Basis.STATED));
            }
        }
        CalibreData data = new CalibreData(
                30,
                18_000.0,
                50.0,
                17,
                CalibreData.Setting.NONE,
                CalibreData.Stud.FIXED,
                WatchClass.VINTAGE_NO_SHOCK_SETTING,
                "");
        return new CalibreSheet(
                "bench",
                "Bench movement",
                data,
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
}
