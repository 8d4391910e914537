package escrel.core.service;

import java.util.List;

/**
 * One opening of the movement, from the decision to open it until it is opened again. Source: craft 9.
 *
 * @param number 1 for the first
 * @param startsAt sequence of the step that begins it; 0 for the first
 * @param words what was to be done, may be empty
 * @param target code of the part to which it is opened, empty for the whole movement
 * @param lifted codes of the parts that came off in it, first off first; those that were off still when it began first
 * @param fresh whether it was begun by saying so, and not only by a part coming off
 */
public record Round(
        int number,
        int startsAt,
        OpenedAgain.Reason reason,
        String words,
        String target,
        List<String> lifted,
        boolean fresh) {
    public Round {
        lifted = List.copyOf(lifted);
    }
}
