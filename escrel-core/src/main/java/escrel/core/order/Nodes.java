package escrel.core.order;

import escrel.core.calibre.CalibreSheet;
import java.util.ArrayList;
import java.util.List;

/** The nodes of a sheet between which rings may close: all but the screws. */
final class Nodes {
    private Nodes() {}

    static List<Node> ofParts(CalibreSheet sheet) {
        List<Node> nodes = new ArrayList<>();
        sheet.parts().forEach(p -> nodes.add(Node.part(p.code())));
        return nodes;
    }

    static List<Node> ofAll(CalibreSheet sheet) {
        List<Node> nodes = ofParts(sheet);
        sheet.oilPoints().forEach(p -> nodes.add(Node.point(p.code())));
        sheet.climbTests().forEach(t -> nodes.add(Node.test(t.code())));
        return nodes;
    }
}
