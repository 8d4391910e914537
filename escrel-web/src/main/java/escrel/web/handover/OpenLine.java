package escrel.web.handover;

import escrel.core.handover.Account;
import escrel.core.service.OpenItem;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * An open item as shown.
 *
 * @param address the very place where it is settled: the part's card, the line of the climb, the finding
 * @param waived why it may stay open; nothing while it may not
 */
record OpenLine(OpenItem item, String address, @Nullable String waived) {
    static OpenLine of(int job, Account account, OpenItem item) {
        return new OpenLine(item, address(job, item), account.reasonFor(item).orElse(null));
    }

    private static String address(int job, OpenItem item) {
        String kind = before(item.key(), ':');
        String about = before(item.key().substring(Math.min(item.key().length(), kind.length() + 1)), '@');
        return switch (kind) {
            case "finding" -> in(job, "findings", "finding", about);
            // what it waits for stands on the parts desk
            case "interim" ->
                UriComponentsBuilder.fromPath("/parts")
                        .queryParam("want", job + ":f" + about)
                        .toUriString();
            case "look" -> in(job, "inspect", "part", about);
            case "oil", "test" ->
                item.where() == OpenItem.Place.CLIMB ? in(job, "climb", "line", about) : room(job, item);
            default -> room(job, item);
        };
    }

    private static String room(int job, OpenItem item) {
        return switch (item.where()) {
            case STRIP -> in(job, "strip", "part", item.part());
            case CLIMB -> in(job, "climb", "line", item.part());
            case INSPECTION -> in(job, "findings", "finding", null);
            case WASHING -> in(job, "wash", "part", null);
            case READINGS -> in(job, "readings", "set", null);
        };
    }

    private static String in(int job, String room, String name, @Nullable String value) {
        UriComponentsBuilder address =
                UriComponentsBuilder.fromPath("/jobs/{job}/" + room).uriVariables(java.util.Map.of("job", job));
        return value == null
                ? address.toUriString()
                : address.queryParam(name, value).encode().toUriString();
    }

    private static String before(String text, char end) {
        int at = text.indexOf(end);
        return at < 0 ? text : text.substring(0, at);
    }
}
