package escrel.core.timing.beats;

import escrel.core.quantity.BeatRate;
import escrel.core.timing.sound.Sound;
import java.util.Arrays;
import java.util.List;

/** Of the channels of a recording the one that beats: an open input beside it may well be louder. */
public final class Channels {
    private static final double HIGH_PASS_HERTZ = 1200;
    // what beats shows it within this time
    private static final double HEARD_SECONDS = 20;

    private Channels() {}

    /**
     * The channel that beats most clearly, the first of those that beat alike.
     *
     * @param channels one or more, equally long
     */
    public static Sound beating(List<Sound> channels) {
        Sound best = channels.get(0);
        double clearest = channels.size() < 2 ? 0 : clarity(best);
        for (Sound channel : channels.subList(1, channels.size())) {
            double clarity = clarity(channel);
            if (clarity > clearest) {
                best = channel;
                clearest = clarity;
            }
        }
        return best;
    }

    private static double clarity(Sound sound) {
        int length = (int) Math.min(sound.samples().length, HEARD_SECONDS * sound.sampleRate());
        Sound part = new Sound(Arrays.copyOf(sound.samples(), length), sound.sampleRate());
        float[] filtered = HighPass.apply(part, Math.min(HIGH_PASS_HERTZ, sound.sampleRate() / 8));
        double[] energy = Envelope.energy(filtered, sound.sampleRate(), Envelope.BLOCK_SECONDS);
        if (Levelled.level(filtered, sound.sampleRate(), energy)) {
            energy = Envelope.energy(filtered, sound.sampleRate(), Envelope.BLOCK_SECONDS);
        }
        Envelope envelope = Envelope.ofEnergy(energy, Envelope.BLOCK_SECONDS);
        BeatRateFinder finder = new BeatRateFinder(envelope);
        return BeatRate.USUAL.stream()
                .mapToDouble(b -> finder.at(b).score())
                .max()
                .orElse(0);
    }
}
