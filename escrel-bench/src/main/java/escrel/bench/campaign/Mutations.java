package escrel.bench.campaign;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** What nobody should send, made from what somebody could. */
final class Mutations {
    private static final String[] TEXTS = {
        "",
        " ",
        "-1",
        "0",
        "1e999",
        "NaN",
        "-Infinity",
        "2147483648",
        "99999999999999999999",
        "1,5",
        "٣",
        "<script>alert(1)</script>",
        "'; drop table job; --",
        "=1+1",
        "../../../../etc/passwd",
        "%00%0a",
        "\u0000\u0001\u001b[31m",
        "\ud800",
        "null",
        "true",
        "DIAL_UP",
        "${7*7}",
        "__${T(java.lang.Runtime)}__",
        "שלום\u202eabc",
        "a".repeat(300),
        "ä".repeat(5_000),
        "x".repeat(60_000)
    };

    private final Random random;

    Mutations(Random random) {
        this.random = random;
    }

    String text() {
        return TEXTS[random.nextInt(TEXTS.length)];
    }

    /** One value of a tree, somewhere in it, made into something else; the tree itself is changed. */
    void spoil(JsonNode tree) {
        List<JsonNode> holders = new ArrayList<>();
        gather(tree, holders);
        if (holders.isEmpty()) {
            return;
        }
        JsonNode holder = holders.get(random.nextInt(holders.size()));
        if (holder instanceof ObjectNode object) {
            List<String> names = new ArrayList<>(object.propertyNames());
            if (names.isEmpty()) {
                object.put("unknown", text());
                return;
            }
            String name = names.get(random.nextInt(names.size()));
            switch (random.nextInt(4)) {
                case 0 -> object.remove(name);
                case 1 -> object.put(name + "2", text());
                default -> object.set(name, other(object.get(name)));
            }
        } else if (holder instanceof ArrayNode array) {
            if (array.isEmpty()) {
                array.add(text());
                return;
            }
            int at = random.nextInt(array.size());
            switch (random.nextInt(4)) {
                case 0 -> array.remove(at);
                case 1 -> array.add(array.get(at).deepCopy());
                default -> array.set(at, other(array.get(at)));
            }
        }
    }

    private static void gather(JsonNode node, List<JsonNode> holders) {
        if (node.isContainer()) {
            holders.add(node);
            node.forEach(child -> gather(child, holders));
        }
    }

    private JsonNode other(JsonNode was) {
        JsonNodeFactory nodes = JsonNodeFactory.instance;
        return switch (random.nextInt(9)) {
            case 0 -> nodes.nullNode();
            case 1 -> nodes.stringNode(text());
            case 2 -> nodes.numberNode(random.nextBoolean() ? -1 : Integer.MAX_VALUE);
            case 3 -> nodes.numberNode(random.nextGaussian() * 1e6);
            case 4 -> nodes.booleanNode(random.nextBoolean());
            case 5 -> nodes.arrayNode();
            case 6 -> nodes.objectNode();
            case 7 ->
                was.isNumber()
                        ? nodes.numberNode(was.doubleValue() * 1_000_003)
                        : nodes.stringNode(was.asString("") + "x");
            default -> nodes.numberNode(1e308);
        };
    }

    /** Bytes with some changed, cut, doubled or put in. */
    byte[] spoil(byte[] bytes) {
        byte[] out = bytes.clone();
        if (out.length == 0) {
            return new byte[] {1};
        }
        switch (random.nextInt(4)) {
            case 0 -> {
                for (int i = 0; i < 1 + random.nextInt(20); i++) {
                    out[random.nextInt(out.length)] = (byte) random.nextInt();
                }
            }
            case 1 -> out = java.util.Arrays.copyOf(out, random.nextInt(out.length));
            case 2 -> {
                int head = Math.min(out.length, 64);
                for (int i = 0; i < 4; i++) {
                    out[random.nextInt(head)] = (byte) random.nextInt();
                }
            }
            default -> {
                out = java.util.Arrays.copyOf(out, out.length + 1 + random.nextInt(500));
                for (int i = bytes.length; i < out.length; i++) {
                    out[i] = (byte) random.nextInt();
                }
            }
        }
        return out;
    }
}
