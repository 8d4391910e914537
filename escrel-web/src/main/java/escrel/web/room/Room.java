package escrel.web.room;

import escrel.core.job.Job;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToIntFunction;

/**
 * A room: a page of a job, or of the workshop, and what belongs to it.
 *
 * @param path its name in addresses; of a room of a job the last part of the address
 * @param label in the navigation
 * @param address {@code {job}}, {@code {calibre}} and {@code {case}} stand for any of them
 * @param open how many things are open there for a job, shown on the first page; 0 where nothing is counted
 * @param pages further pages that stand under it
 * @param packages whose controllers make these pages
 */
public record Room(
        String path, String label, String address, ToIntFunction<Job> open, List<Page> pages, List<String> packages) {
    /**
     * A page that stands under a room.
     *
     * @param path its name in addresses
     * @param label in the second line of the navigation; empty for one that is only led to
     */
    public record Page(String path, String label, String address) {}

    /** A room of a job, in a package of the same name. */
    static Room ofAJob(String path, String label) {
        return new Room(path, label, "/jobs/{job}/" + path, job -> 0, List.of(), List.of(path));
    }

    /** A room of the workshop, in a package of the same name. */
    static Room ofTheWorkshop(String path, String label, String address) {
        return new Room(path, label, address, job -> 0, List.of(), List.of(path));
    }

    Room in(String... where) {
        return new Room(path, label, address, open, pages, List.of(where));
    }

    /** The same room, which counts what is open there. */
    Room counting(ToIntFunction<Job> what) {
        return new Room(path, label, address, what, pages, packages);
    }

    /** The same room with a page beside it, of the second line of the navigation. */
    Room with(String pagePath, String pageLabel) {
        return withPage(new Page(pagePath, pageLabel, "/jobs/{job}/" + pagePath));
    }

    /** The same room with a page that is only led to. */
    Room leadingTo(String pageAddress) {
        return withPage(new Page(pageAddress, "", pageAddress));
    }

    private Room withPage(Page page) {
        List<Page> more = new ArrayList<>(pages);
        more.add(page);
        return new Room(path, label, address, open, List.copyOf(more), packages);
    }

    /** Its pages that stand in the second line of the navigation. */
    public List<Page> beside() {
        return pages.stream().filter(p -> !p.label().isEmpty()).toList();
    }
}
