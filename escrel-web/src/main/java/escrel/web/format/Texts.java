package escrel.web.format;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.text.Normalizer;
import java.util.LinkedHashSet;
import java.util.Locale;
import java.util.Set;

/** Texts as they may be kept and shown. */
public final class Texts {
    private static final int LONGEST_WORD = 40;
    private static final int FEWEST_DIGITS = 3;

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

    /** As the value of a field in an address: whatever a sheet from elsewhere calls its parts. */
    public static String inAddress(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    /** As it is searched: small letters without accents, one space between words. */
    public static String searched(String text) {
        return Normalizer.normalize(text, Normalizer.Form.NFD)
                .replaceAll("\\p{M}+", "")
                .toLowerCase(Locale.ROOT)
                .replaceAll("\\s+", " ")
                .strip();
    }

    /**
     * The words by which a text is found, in small letters without accents: whatever stands between them parts them. Of a
     * number its last digits find it too.
     */
    public static Set<String> wordsOf(String text) {
        return words(text, true);
    }

    /** The words that were typed to find something, as they are found. */
    public static Set<String> wordsTyped(String text) {
        return words(text, false);
    }

    private static Set<String> words(String text, boolean lastDigitsToo) {
        Set<String> words = new LinkedHashSet<>();
        String plain = isAscii(text) ? text.toLowerCase(Locale.ROOT) : searched(text);
        int begin = -1;
        boolean digits = true;
        // by hand, since a long job says thousands of them with each note
        for (int i = 0; i <= plain.length(); i++) {
            boolean in = i < plain.length() && Character.isLetterOrDigit(plain.charAt(i));
            if (in && begin < 0) {
                begin = i;
                digits = true;
            }
            if (in) {
                digits &= Character.isDigit(plain.charAt(i));
            } else if (begin >= 0) {
                addWord(words, plain.substring(begin, Math.min(i, begin + LONGEST_WORD)), digits && lastDigitsToo);
                begin = -1;
            }
        }
        return words;
    }

    private static void addWord(Set<String> words, String word, boolean digits) {
        words.add(word);
        if (digits) {
            for (int from = 1; from <= word.length() - FEWEST_DIGITS; from++) {
                words.add(word.substring(from));
            }
        }
    }

    /** Whether it is written in unaccented letters, digits and common marks alone. */
    public static boolean isAscii(String text) {
        for (int i = 0; i < text.length(); i++) {
            if (text.charAt(i) >= 128) {
                return false;
            }
        }
        return true;
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
