package escrel.core.calibre;

import escrel.core.quantity.BeatRate;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;

/**
 * The going train by its counts, from the barrel to the escape wheel. Each wheel drives the pinion of the next.
 *
 * @param mobiles at least barrel, centre and escape wheel, in the order of power
 */
public record Train(List<Mobile> mobiles) {
    /**
     * A wheel and pinion on one arbor.
     *
     * @param part code of the part
     * @param wheelTeeth teeth of the wheel (of the drum, for the barrel)
     * @param pinionLeaves leaves of its pinion; 0 for the barrel, which has none
     */
    public record Mobile(String part, int wheelTeeth, int pinionLeaves) {}

    public Train {
        mobiles = Copies.list(mobiles);
    }

    /**
     * Beats per hour from the counts, with the second mobile turning once in an hour:
     * {@code n = 2 · z_escape · ∏(wheel / next pinion)}. Centre 80/10, third 75/10, fourth 80/8, escape 15 give 18 000.
     * Source: M6.
     */
    public BeatRate beatRate() {
        double turnsPerHour = 1;
        for (int i = 1; i < mobiles.size() - 1; i++) {
            turnsPerHour *= ratio(i);
        }
        return BeatRate.of(2.0 * mobiles.get(mobiles.size() - 1).wheelTeeth() * turnsPerHour);
    }

    /** Seconds for a turn of each mobile from the barrel on, the second one taking 3600 s. Source: M6. */
    public List<Double> periodsSeconds() {
        List<Double> periods = new ArrayList<>();
        double period = 3600 * ratio(0);
        periods.add(period);
        for (int i = 0; i < mobiles.size() - 1; i++) {
            period /= ratio(i);
            periods.add(period);
        }
        return List.copyOf(periods);
    }

    /**
     * Solves a missing count: the whole number at this place that makes the train give the stated beat. Source: M6.
     *
     * @param mobiles the train with any number at the missing place
     * @param place which mobile, 0 for the barrel
     * @param count its wheel or its pinion
     * @return nothing when no whole number within a quarter of a beat per hour does, or the place does not matter to it
     */
    public static OptionalInt solve(List<Mobile> mobiles, int place, Count count, BeatRate stated) {
        if (place < 1 || place >= mobiles.size() || place == 1 && count == Count.PINION) {
            return OptionalInt.empty();
        }
        List<Mobile> trial = new ArrayList<>(mobiles);
        Mobile open = mobiles.get(place);
        trial.set(
                place,
                count == Count.WHEEL
                        ? new Mobile(open.part(), 1, open.pinionLeaves())
                        : new Mobile(open.part(), open.wheelTeeth(), 1));
        double atOne = new Train(trial).beatRate().beatsPerHour();
        double exact = count == Count.WHEEL ? stated.beatsPerHour() / atOne : atOne / stated.beatsPerHour();
        int whole = (int) Math.round(exact);
        if (whole < 1) {
            return OptionalInt.empty();
        }
        double beats = count == Count.WHEEL ? atOne * whole : atOne / whole;
        return Math.abs(beats - stated.beatsPerHour()) <= 0.25 ? OptionalInt.of(whole) : OptionalInt.empty();
    }

    /** Which count of a mobile. */
    public enum Count {
        WHEEL,
        PINION
    }

    /** Teeth of the escape wheel. */
    public int escapeTeeth() {
        return mobiles.get(mobiles.size() - 1).wheelTeeth();
    }

    private double ratio(int driver) {
        return (double) mobiles.get(driver).wheelTeeth()
                / mobiles.get(driver + 1).pinionLeaves();
    }
}
