package escrel.simulator.pickup;

/**
 * What the pick-up hears besides the watch.
 *
 * @param noise rms of the noise against the rms of the drop's first millisecond, 0 for none
 * @param hum mains hum against the same, 0 for none
 * @param knocks how many knocks fall into the recording
 */
public record Room(double noise, double hum, int knocks) {
    /** A quiet room: 32 dB. */
    public static final Room QUIET = new Room(0.025, 0, 0);

    /** A room with this signal-to-noise ratio in decibels. */
    public static Room ofDecibels(double decibels) {
        return new Room(Math.pow(10, -decibels / 20), 0, 0);
    }
}
