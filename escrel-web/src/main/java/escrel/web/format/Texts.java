package escrel.web.format;

import java.text.Normalizer;
import java.util.Locale;

/** Texts as they may be kept and shown. */
public final class Texts {
    private Texts() {}

    /**
     * Without control characters but line ends and tabs, without halves of surrogate pairs, and without what is no
     * character: none of these can be printed, and some break an XML or PDF page.
     */
    public static String cleaned(String text) {
        int first = firstBad(text);
        if (first < 0) {
            return text;
        }
        StringBuilder out = new StringBuilder(text.length());
        out.append(text, 0, first);
        text.substring(first).codePoints().forEach(c -> {
            if (isGood(c)) {
                out.appendCodePoint(c);
            }
        });
        return out.toString();
    }

    /** As it is searched: small letters without accents, one space between words. */
    public static String searched(String text) {
        return Normalizer.normalize(text, Normalizer.Form.NFD)
                .replaceAll("\\p{M}+", "")
                .toLowerCase(Locale.ROOT)
                .replaceAll("\\s+", " ")
                .strip();
    }

    private static int firstBad(String text) {
        for (int i = 0; i < text.length(); ) {
            int c = text.codePointAt(i);
            if (!isGood(c)) {
                return i;
            }
            i += Character.charCount(c);
        }
        return -1;
    }

    private static boolean isGood(int c) {
        boolean control = c < 0x20 && c != '\n' && c != '\r' && c != '\t' || c >= 0x7f && c < 0xa0;
        boolean half = c >= 0xd800 && c <= 0xdfff;
        boolean none = c == 0xfffe || c == 0xffff;
        return !control && !half && !none;
    }
}
