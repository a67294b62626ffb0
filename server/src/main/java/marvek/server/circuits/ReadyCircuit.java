package marvek.server.circuits;

import java.util.List;
import marvek.core.circuit.Circuit;
import marvek.core.circuit.Road;
import marvek.core.corner.CornerFinder;
import marvek.formats.CircuitGeoJsonWriter;
import marvek.formats.CircuitImport;
import marvek.formats.JsonFiles;
import tools.jackson.databind.JsonNode;

/**
 * A circuit worked out and not stored yet. Storing it needs no computing any more, so that it may
 * stand in a transaction with what belongs to it.
 */
public final class ReadyCircuit {
  private final Circuit circuit;
  private final double lengthM;
  private final int corners;
  private final String document;
  private final List<String> words;

  private ReadyCircuit(Circuit circuit, Road road, JsonNode document, List<String> words) {
    this.circuit = circuit;
    this.lengthM = road.lengthM();
    this.corners = CornerFinder.find(circuit, road).size();
    this.document = JsonFiles.write(document);
    this.words = words;
  }

  static ReadyCircuit of(CircuitImport.Understood read) {
    return new ReadyCircuit(read.circuit(), read.road(), read.document(), read.words());
  }

  /** An edited circuit, in the words that it is kept in. */
  static ReadyCircuit of(Circuit circuit) {
    return new ReadyCircuit(
        circuit, circuit.road(), CircuitGeoJsonWriter.write(circuit), List.of());
  }

  /** A circuit with the document that it came in. */
  static ReadyCircuit of(Circuit circuit, JsonNode document) {
    return new ReadyCircuit(circuit, circuit.road(), document, List.of());
  }

  Circuit circuit() {
    return circuit;
  }

  double lengthM() {
    return lengthM;
  }

  int corners() {
    return corners;
  }

  String document() {
    return document;
  }

  /** What the reader had to assume. */
  List<String> words() {
    return words;
  }
}
