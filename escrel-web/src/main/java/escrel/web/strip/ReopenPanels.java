package escrel.web.strip;

import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.service.OpenedAgain;
import escrel.web.job.OpenJob;
import escrel.web.strip.StripPanel.Item;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Opening a movement again: one key says why, one how far. */
final class ReopenPanels {
    /** What a later opening usually goes to. */
    private static final List<Role> USUAL = List.of(
            Role.MAINSPRING,
            Role.BARREL,
            Role.BALANCE_COCK,
            Role.PALLET_FORK,
            Role.ESCAPE_WHEEL,
            Role.CANNON_PINION,
            Role.DIAL);

    private ReopenPanels() {}

    /** Why. */
    static StripPanel why(OpenJob job) {
        List<Item> items = new ArrayList<>();
        for (OpenedAgain.Reason reason : OpenedAgain.Reason.values()) {
            if (reason != OpenedAgain.Reason.NOT_SAID) {
                items.add(Item.to(items.size() + 1, reason.words(), "reopen:" + reason));
            }
        }
        String title = StripActions.isClosed(job) ? "The movement is closed. Open it again: why?" : "Open again: why?";
        return new StripPanel(title, items, null);
    }

    /** How far: the whole, or a way in to what is usually meant; any other part by the way-in page. */
    static StripPanel howFar(String reason, OpenJob job) {
        OpenedAgain.Reason.valueOf(reason);
        List<Item> items = new ArrayList<>();
        items.add(Item.acts(1, "the whole movement", StripAct.OPEN_AGAIN, reason));
        for (Role role : USUAL) {
            Optional<Part> part = job.movement().withRole(role);
            part.ifPresent(p -> items.add(Item.acts(
                    items.size() + 1, "way in to " + p.name(), StripAct.OPEN_AGAIN, reason + ":" + p.code())));
        }
        return new StripPanel("How far?", items, null);
    }
}
