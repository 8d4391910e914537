package escrel.web.strip;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.calibre.Trait;
import escrel.core.job.StepRegister;
import escrel.core.learning.PartDescribed;
import escrel.core.learning.PartNamed;
import escrel.core.learning.PartRenamed;
import escrel.core.learning.Pinned;
import escrel.core.parts.FragmentExplained;
import escrel.core.parts.FragmentFound;
import escrel.core.parts.Gauged;
import escrel.core.service.Eased;
import escrel.core.service.Happened;
import escrel.core.service.LeftFitted;
import escrel.core.service.Noted;
import escrel.core.service.OpenedAgain;
import escrel.core.service.PowerNoted;
import escrel.core.service.ScrewsToCome;
import escrel.core.service.Step;
import escrel.core.teardown.TeardownState;
import escrel.core.timing.readings.Intervened;
import escrel.web.job.OpenJob;
import escrel.web.job.PartFinder;
import escrel.web.job.Workshop;
import java.util.List;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Records what the panels offer. */
@Component
class StripActs {
    /**
     * What a panel sends.
     *
     * @param part on the card; empty while none has a name
     * @param value goes with the act, by its line
     * @param words typed, may be empty
     * @param from the room to go back to, or empty
     */
    record Form(int seq, StripAct act, String part, String value, String words, Side side, String from) {
        Form {
            from = from == null ? "" : from;
            part = part == null ? "" : part;
            value = value == null ? "" : value;
            words = words == null ? "" : words.strip();
            side = side == null || side == Side.IN_HAND ? Side.TRAIN : side;
        }
    }

    /** What came of it: the part to show next, and a sentence. */
    record Done(String part, String said) {}

    private final Workshop workshop;

    StripActs(Workshop workshop) {
        this.workshop = workshop;
    }

    /** The panel to which words lead that record nothing by themselves; nothing for an act. */
    @Nullable
    String leadsTo(Form form) {
        if (form.act() == StripAct.PLACE && !form.words().isEmpty()) {
            return "grade:OTHER/" + form.words().replaceAll("[:/]", " ");
        }
        return form.act() == StripAct.CHOOSE ? "what" : null;
    }

    /** What the page then asks for: the part on the card, or the one that was chosen by some letters. */
    StripView.Asked asked(int number, Form form, String panel) {
        String part = form.act() == StripAct.CHOOSE
                ? PartFinder.find(workshop.load(number).movement(), form.words())
                        .code()
                : form.part();
        return StripView.Asked.of(part, form.side(), panel, form.from());
    }

    /** Records an act. */
    @Transactional
    public Done record(int number, Form form) {
        OpenJob job = workshop.load(number);
        job.requireSequence(form.seq());
        CalibreSheet sheet = job.movement();
        if (form.act() == StripAct.NAME_KIND || form.act() == StripAct.NAME_FREELY) {
            PartNamed named = understood(() -> NamingActs.named(sheet, form));
            workshop.append(number, form.seq(), named);
            return new Done(named.code(), named.name() + " has a name: take it off");
        }
        Part part = sheet.part(form.part())
                .orElseThrow(
                        () -> refuse("The sheet has no part “" + form.part() + "”", "Choose one from the ladder."));
        if (form.act() == StripAct.ANSWERED) {
            List<Step> steps = understood(() -> Answers.steps(sheet, part, form.value()));
            workshop.append(number, form.seq(), steps);
            return new Done(
                    part.code(),
                    said(steps.get(steps.size() - 1), workshop.load(number).movement()));
        }
        Step step = understood(() -> step(job, sheet, part, form));
        workshop.append(number, form.seq(), step);
        boolean moveOn = step instanceof LeftFitted || step instanceof OpenedAgain;
        return new Done(moveOn ? "" : part.code(), said(step, sheet));
    }

    /** What a panel sends is made by us; anything else is refused as plainly as a slip of the hand. */
    private static <T> T understood(Supplier<T> step) {
        try {
            return step.get();
        } catch (IllegalArgumentException | IndexOutOfBoundsException e) {
            throw refuse("What was sent is none of the choices of this panel", "Reload the page and choose again.");
        }
    }

    private static String said(Step step, CalibreSheet sheet) {
        String words = StepRegister.words(step, sheet);
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    private static Step step(OpenJob job, CalibreSheet sheet, Part part, Form form) {
        return switch (form.act()) {
            case RENAME -> {
                requireWords(form);
                yield new PartRenamed(part.code(), form.words());
            }
            case HELD_BY -> HoldActs.heldBy(sheet, part, other(sheet, form));
            case CAME_WITH -> HoldActs.cameWith(sheet, part, other(sheet, form));
            case SCREWS, SCREWS_ALSO, SCREWS_ARE -> ScrewActs.stated(sheet, part, form);
            case FOUND, FELT -> LookActs.step(job, part, form);
            case MARK -> {
                requireWords(form);
                yield LookActs.mark(part, form);
            }
            case SUSPECTED, CONFIRMED, CLEARED -> {
                requireWords(form);
                yield LookActs.step(job, part, form);
            }
            case PLACE -> {
                // with words it led on to a panel before
                requireWords(form);
                throw new IllegalArgumentException("a place is no act");
            }
            case DESCRIBED -> described(part, form);
            case STAYS_WITH -> {
                Part mate = other(sheet, form);
                if (mate.code().equals(part.code())) {
                    throw refuse("A part is not pressed to itself", "Choose another.");
                }
                yield new PartDescribed(part.code(), Trait.STAYS_WITH, mate.code());
            }
            case LEFT_FITTED, LEFT_WITH_UNIT -> {
                if (job.teardown().isOff(part.code())) {
                    throw refuse(part.name() + " is off already", "Only a part that is on can be left.");
                }
                yield new LeftFitted(List.of(part.code()), form.words());
            }
            case LOOSENED ->
                new Eased(
                        part.code(),
                        Eased.Way.LOOSENED,
                        form.value().isEmpty() ? number(form, 0, 50) : Double.parseDouble(form.value()));
            case SCREWS_TO_COME -> {
                if (job.teardown().isOff(part.code())) {
                    throw refuse(part.name() + " is off", "All its screws wait with it; say it once it is on.");
                }
                yield new ScrewsToCome(part.code(), Integer.parseInt(form.value()));
            }
            case TURNED_TO_FREE -> new Eased(part.code(), Eased.Way.TURNED_TO_FREE, 0);
            case MEASURED -> new Gauged(part.code(), Gauged.What.valueOf(form.value()), number(form, 0.001, 2000));
            case FRAGMENT -> {
                requireWords(form);
                yield new FragmentFound(form.words(), "while at " + part.name());
            }
            case EXPLAINED -> {
                requireWords(form);
                yield new FragmentExplained(Integer.parseInt(form.value()), form.words());
            }
            case OBSERVED -> {
                requireWords(form);
                yield new Noted(part.code(), form.words());
            }
            case POWER -> new PowerNoted(PowerNoted.What.valueOf(form.value()), part.code(), form.words());
            case OPEN_AGAIN -> openAgain(job, form);
            case INTERVENED -> new Intervened(Intervened.What.valueOf(form.value()), form.words());
            default -> happened(job, part, form);
        };
    }

    private static Step happened(OpenJob job, Part part, Form form) {
        TeardownState state = job.teardown();
        Happened.What what = switch (form.act()) {
            case LOST -> Happened.What.LOST;
            case FOUND_AGAIN -> Happened.What.FOUND_AGAIN;
            case FOUND_LOOSE -> Happened.What.FOUND_LOOSE;
            case DAMAGED_NOW -> Happened.What.DAMAGED_NOW;
            case WRONG_WAY_ROUND -> Happened.What.WRONG_WAY_ROUND;
            case TAKEN_APART -> Happened.What.TAKEN_APART;
            default -> throw new IllegalArgumentException(form.act() + " is nothing that happens to a part");
        };
        if (what == Happened.What.LOST && !state.isOff(part.code())) {
            throw refuse(part.name() + " is still on by the record", "Record it as off first, then as lost.");
        }
        return new Happened(part.code(), what, form.words());
    }

    /** The movement is opened again: a reason, then how far, in one value. */
    private static Step openAgain(OpenJob job, Form form) {
        String[] value = form.value().split(":", 2);
        String target = value.length > 1 ? value[1] : "";
        if (!target.isEmpty()) {
            requirePart(job.movement(), target);
        }
        return new OpenedAgain(OpenedAgain.Reason.valueOf(value[0]), target, form.words());
    }

    /** What was seen of a part: the trait, then the usual words for it, or words of one's own. */
    private static Step described(Part part, Form form) {
        String[] value = form.value().split(":", 2);
        if (value.length < 2) {
            requireWords(form);
        }
        return new PartDescribed(part.code(), Trait.valueOf(value[0]), value.length < 2 ? form.words() : value[1]);
    }

    /** The other part: chosen from the panel, or found by some letters of its name. */
    private static Part other(CalibreSheet sheet, Form form) {
        return form.value().isEmpty() ? PartFinder.find(sheet, form.words()) : requirePart(sheet, form.value());
    }

    /** Pins a part to a place on the plan, in fractions of the plate's radius as seen on that side. */
    @Transactional
    public void pin(int number, int seq, String code, Side side, double seenX, double seenY) {
        OpenJob job = workshop.load(number);
        Part part = requirePart(job.movement(), code);
        if (!(Math.hypot(seenX, seenY) <= 1.3)) {
            throw refuse(
                    "The pin lies outside the movement", "Click on the plate, or within a finger's breadth of it.");
        }
        workshop.append(number, seq, new Pinned(part.code(), side == Side.TRAIN ? -seenX : seenX, -seenY));
    }

    private static Part requirePart(CalibreSheet sheet, String code) {
        return sheet.part(code).orElseThrow(() -> refuse("The sheet has no part “" + code + "”", "Choose another."));
    }

    static void requireWords(Form form) {
        if (form.words().isEmpty()) {
            throw refuse("Some words are wanted", "Type them and press Enter.");
        }
        if (form.words().length() > 1000) {
            throw refuse("That is " + form.words().length() + " characters, at most 1000 are kept", "Say it shorter.");
        }
    }

    private static double number(Form form, double least, double most) {
        try {
            double value = Double.parseDouble(form.words().replace(',', '.'));
            if (value >= least && value <= most) {
                return value;
            }
        } catch (NumberFormatException e) {
            // said below, like a number out of range
        }
        throw refuse(
                "“" + form.words() + "” is no number between " + least + " and " + most,
                "Type a number and press Enter.");
    }

    static MendableException refuse(String what, String todo) {
        return new MendableException(what, "Nothing was recorded.", todo);
    }
}
