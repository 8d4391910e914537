package escrel.core.calibre;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jgrapht.Graph;
import org.jgrapht.alg.connectivity.KosarajuStrongConnectivityInspector;
import org.jgrapht.alg.shortestpath.BFSShortestPath;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.SimpleDirectedGraph;

/** Finds parts that hold each other in a circle, and names them in order round it. */
public final class RingOfHolds {
    private RingOfHolds() {}

    /**
     * One precedence.
     *
     * @param first what comes first
     * @param then what comes after it
     */
    public record Edge(String first, String then) {}

    /**
     * A shortest ring, first name repeated at its end ("a → b → a"), or nothing. A part that holds itself is a ring of
     * one. Running time grows with parts times holds only when there is a ring.
     */
    public static Optional<List<String>> find(Collection<Edge> edges) {
        Graph<String, DefaultEdge> graph = new SimpleDirectedGraph<>(DefaultEdge.class);
        for (Edge edge : edges) {
            if (edge.first().equals(edge.then())) {
                return Optional.of(List.of(edge.first(), edge.first()));
            }
            graph.addVertex(edge.first());
            graph.addVertex(edge.then());
            graph.addEdge(edge.first(), edge.then());
        }
        return new KosarajuStrongConnectivityInspector<>(graph)
                .stronglyConnectedSets().stream()
                        .filter(set -> set.size() > 1)
                        .findFirst()
                        .map(set -> shortestRing(graph, set));
    }

    private static List<String> shortestRing(Graph<String, DefaultEdge> graph, Set<String> members) {
        List<String> best = List.of();
        for (DefaultEdge edge : graph.edgeSet()) {
            String from = graph.getEdgeSource(edge);
            String to = graph.getEdgeTarget(edge);
            if (members.contains(from) && members.contains(to)) {
                List<String> back =
                        new BFSShortestPath<>(graph).getPath(to, from).getVertexList();
                if (best.isEmpty() || back.size() + 1 < best.size()) {
                    best = new ArrayList<>(back);
                    best.add(to);
                }
            }
        }
        return List.copyOf(best);
    }
}
