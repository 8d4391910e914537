package escrel.web.job;

import escrel.web.format.Texts;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * By which words a job is found now and was not before, and the other way round. Of what is said before and after the change
 * only that is read which may say the same word again.
 *
 * @param added some of them may have been said elsewhere before
 * @param gone no longer said anywhere
 */
record SaidOtherwise(Set<String> added, Set<String> gone) {
    /**
     * @param before what was said, in order
     * @param now what is said, in order
     */
    static SaidOtherwise between(List<String> before, List<String> now) {
        int shorter = Math.min(before.size(), now.size());
        int from = 0;
        while (from < shorter && before.get(from).equals(now.get(from))) {
            from++;
        }
        int end = 0;
        while (end < shorter - from && before.get(before.size() - 1 - end).equals(now.get(now.size() - 1 - end))) {
            end++;
        }
        Set<String> added = wordsOf(now.subList(from, now.size() - end));
        Set<String> gone = wordsOf(before.subList(from, before.size() - end));
        gone.removeAll(added);
        forgetThoseSaid(gone, now.subList(0, from));
        forgetThoseSaid(gone, now.subList(now.size() - end, now.size()));
        return new SaidOtherwise(added, gone);
    }

    private static Set<String> wordsOf(List<String> texts) {
        Set<String> words = new LinkedHashSet<>();
        texts.forEach(text -> words.addAll(Texts.wordsOf(text)));
        return words;
    }

    private static void forgetThoseSaid(Set<String> words, List<String> texts) {
        for (String text : texts) {
            if (!words.isEmpty() && mayHold(text, words)) {
                words.removeAll(new HashSet<>(Texts.wordsOf(text)));
            }
        }
    }

    /** A word stands in a text letter by letter, unless that has accents or other letters that are searched for without. */
    private static boolean mayHold(String text, Set<String> words) {
        String small = text.toLowerCase(Locale.ROOT);
        return words.stream().anyMatch(small::contains) || !Texts.isAscii(text);
    }
}
