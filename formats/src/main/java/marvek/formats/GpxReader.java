package marvek.formats;

import java.io.ByteArrayInputStream;
import java.io.InputStream;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.OffsetDateTime;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import marvek.core.circuit.GeoPoint;
import marvek.core.say.Sentence;

/**
 * Reads GPX (1.0 and 1.1) as a stream, so that a million points fit, with the line of everything
 * that is wrong. Document types and entities are refused, not resolved.
 */
public final class GpxReader {
  /** More of a name or a comment is not kept. */
  private static final int LONGEST_TEXT = 400;

  private final XMLStreamReader xml;
  private final GpxFile file = new GpxFile();
  private final GpxFile route = new GpxFile();

  private GpxReader(XMLStreamReader xml) {
    this.xml = xml;
  }

  /**
   * Reads a file.
   *
   * @throws BadFileException with the line
   */
  public static GpxFile read(byte[] bytes) {
    return read(new ByteArrayInputStream(bytes));
  }

  /**
   * Reads a stream; the caller closes it.
   *
   * @throws BadFileException with the line
   */
  static GpxFile read(InputStream stream) {
    XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    factory.setProperty(XMLInputFactory.IS_REPLACING_ENTITY_REFERENCES, false);
    try {
      XMLStreamReader xml = factory.createXMLStreamReader(stream);
      return new GpxReader(xml).readFile();
    } catch (XMLStreamException e) {
      throw BadFileException.atLine(
          Math.max(1, e.getLocation() == null ? 1 : e.getLocation().getLineNumber()),
          null,
          Sentence.of("file.no-xml"));
    }
  }

  private GpxFile readFile() throws XMLStreamException {
    boolean root = false;
    while (xml.hasNext()) {
      switch (xml.next()) {
        case XMLStreamConstants.DTD, XMLStreamConstants.ENTITY_REFERENCE ->
            throw error(null, Sentence.of("file.xml-entities"));
        case XMLStreamConstants.START_ELEMENT -> {
          if (!root && !"gpx".equals(xml.getLocalName())) {
            throw error(null, Sentence.of("file.no-gpx", "found", xml.getLocalName()));
          }
          root = true;
          element();
        }
        default -> {}
      }
    }
    return file.size() == 0 ? withRoute() : file;
  }

  private GpxFile withRoute() {
    file.waypoints().forEach(route::add);
    route.named(file.name());
    return route;
  }

  private void element() throws XMLStreamException {
    switch (xml.getLocalName()) {
      case "trkseg" -> file.beginSegment();
      case "rte" -> route.beginSegment();
      case "trkpt" -> point(file);
      case "rtept" -> point(route);
      case "wpt" -> waypoint();
      case "name" -> {
        if (file.name().isEmpty()) {
          file.named(text());
        }
      }
      default -> {}
    }
  }

  private void point(GpxFile to) throws XMLStreamException {
    int line = line();
    double lat = coordinate("lat", 90);
    double lon = coordinate("lon", 180);
    double ele = Double.NaN;
    Instant time = null;
    String end = xml.getLocalName();
    for (int event = next(); !ends(event, end); event = next()) {
      if (event == XMLStreamConstants.START_ELEMENT && "ele".equals(xml.getLocalName())) {
        ele = height();
      } else if (event == XMLStreamConstants.START_ELEMENT && "time".equals(xml.getLocalName())) {
        time = time();
      }
    }
    to.add(lat, lon, ele, time == null ? Double.NaN : time.toEpochMilli() / 1000.0, line);
  }

  private void waypoint() throws XMLStreamException {
    int line = line();
    GeoPoint place = new GeoPoint(coordinate("lat", 90), coordinate("lon", 180));
    String name = "";
    String comment = "";
    Double ele = null;
    Instant time = null;
    for (int event = next(); !ends(event, "wpt"); event = next()) {
      if (event == XMLStreamConstants.START_ELEMENT) {
        switch (xml.getLocalName()) {
          case "name" -> name = text();
          case "cmt", "desc" -> comment = text();
          case "ele" -> ele = height();
          case "time" -> time = time();
          default -> {}
        }
      }
    }
    file.add(new GpxFile.Waypoint(name, comment, place, ele, time, line));
  }

  private int next() throws XMLStreamException {
    int event = xml.next();
    if (event == XMLStreamConstants.ENTITY_REFERENCE) {
      throw error(null, Sentence.of("file.xml-entity"));
    }
    return event;
  }

  private boolean ends(int event, String name) {
    return event == XMLStreamConstants.END_ELEMENT && name.equals(xml.getLocalName())
        || event == XMLStreamConstants.END_DOCUMENT;
  }

  private double coordinate(String attribute, double bound) {
    String text = xml.getAttributeValue(null, attribute);
    if (text == null) {
      throw error(attribute, Sentence.of("file.attribute-missing"));
    }
    double value = number(attribute, text);
    if (!(Math.abs(value) <= bound)) {
      boolean swapped = bound == 90 && Math.abs(value) <= 180;
      throw error(
          attribute,
          Sentence.of(
              swapped ? "file.degrees-swapped" : "file.degrees", "given", text, "bound", bound));
    }
    return value;
  }

  private double height() throws XMLStreamException {
    double value = number("ele", text());
    if (!(value > -1000 && value < 9000)) {
      throw error("ele", Sentence.of("file.no-height", "given", value));
    }
    return value;
  }

  private double number(String what, String text) {
    try {
      double value = Double.parseDouble(text.strip());
      if (Double.isFinite(value)) {
        return value;
      }
    } catch (NumberFormatException e) {
      // Said below.
    }
    throw error(what, Sentence.of("file.no-number", "given", text));
  }

  /** A time that cannot be read is left out: roads need none, and laps say that it is missing. */
  private Instant time() throws XMLStreamException {
    String text = text();
    try {
      return OffsetDateTime.parse(text).toInstant();
    } catch (DateTimeException e) {
      return null;
    }
  }

  private String text() throws XMLStreamException {
    StringBuilder text = new StringBuilder();
    for (int event = next(); event != XMLStreamConstants.END_ELEMENT; event = next()) {
      if (event == XMLStreamConstants.START_ELEMENT) {
        throw error(null, Sentence.of("file.text-expected", "found", xml.getLocalName()));
      }
      if (text.length() < LONGEST_TEXT && xml.hasText()) {
        text.append(xml.getText());
      }
    }
    String plain = text.toString().strip();
    return plain.substring(0, Math.min(LONGEST_TEXT, plain.length()));
  }

  private int line() {
    return xml.getLocation().getLineNumber();
  }

  private BadFileException error(String column, Sentence said) {
    return BadFileException.atLine(line(), column, said);
  }
}
