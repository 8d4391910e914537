package escrel.core.timing.sound;

import escrel.core.MendableException;

/** A file that is no sound we can read: no WAV, cut short, broken, or of a kind we do not take. */
public class UnreadableSoundException extends MendableException {
    private static final long serialVersionUID = 1L;

    UnreadableSoundException(String whatHappened) {
        super(
                whatHappened,
                "Nothing was recorded; the file is untouched.",
                "Take a WAV file: PCM of 8, 16, 24 or 32 bits or 32-bit float, mono or stereo, 22.05 to 192 kHz.");
    }
}
