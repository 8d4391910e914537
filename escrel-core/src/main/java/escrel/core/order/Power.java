package escrel.core.order;

import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;

/** Which spring's power bears on which part: an alarm's barrel is let down and wound by itself. Source: craft 3. */
public final class Power {
    private Power() {}

    /** Whether letting down this power is what a part must wait for. */
    public static boolean holds(Part power, Part part) {
        boolean alarm = isOfAlarm(power);
        if (part.role() == Role.RATCHET_WHEEL || part.role() == Role.PALLET_BRIDGE) {
            return alarm == (part.group() == Group.ALARM);
        }
        return true;
    }

    /** Whether it is the power of an alarm, which neither winding the watch nor reading it raises. */
    public static boolean isOfAlarm(Part power) {
        return power.group() == Group.ALARM;
    }
}
