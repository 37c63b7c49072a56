package org.opentrellis.core.export;

import java.io.OutputStream;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.SkipReason;
import org.opentrellis.core.sentence.Sentences;
import org.opentrellis.core.walk.Diary;
import org.opentrellis.core.walk.Turn;

/**
 * The ways of a cohort's people as an event log in XES (IEEE 1849-2016), which programs for process
 * mining read: a trace for each person, an event for each thing that happened to them, and none for
 * those who are held out. Each way is derived anew while it is written; nothing is stored.
 */
public final class EventLog {
  private final DryRun run;
  private final List<Sentences> sentences;
  private final XMLStreamWriter xml;

  private EventLog(DryRun run, XMLStreamWriter xml) {
    this.run = run;
    this.xml = xml;
    this.sentences =
        run.world().programs().stream()
            .map(program -> new Sentences(program.journey(), run.world().catalogue()))
            .toList();
  }

  /** Writes the log of everybody in the cohort; the stream stays open. */
  public static void write(DryRun run, OutputStream to) {
    try {
      XMLStreamWriter xml = XMLOutputFactory.newDefaultFactory().createXMLStreamWriter(to, "UTF-8");
      new EventLog(run, xml).write();
      xml.flush();
      xml.close();
    } catch (XMLStreamException failed) {
      throw new IllegalStateException("the event log could not be written", failed);
    }
  }

  private void write() throws XMLStreamException {
    xml.writeStartDocument("UTF-8", "1.0");
    xml.writeStartElement("log");
    xml.writeAttribute("xes.version", "1849-2016");
    xml.writeAttribute("xes.features", "");
    xml.writeAttribute("xmlns", "http://www.xes-standard.org/");
    extension("Concept", "concept", "http://www.xes-standard.org/concept.xesext");
    extension("Time", "time", "http://www.xes-standard.org/time.xesext");
    extension("Lifecycle", "lifecycle", "http://www.xes-standard.org/lifecycle.xesext");
    attribute("string", "concept:name", run.world().programs().get(0).journey().name());
    for (int person = 0; person < run.settings().people(); person++) {
      trace(person);
    }
    xml.writeEndElement();
    xml.writeEndDocument();
  }

  private void extension(String name, String prefix, String uri) throws XMLStreamException {
    xml.writeEmptyElement("extension");
    xml.writeAttribute("name", name);
    xml.writeAttribute("prefix", prefix);
    xml.writeAttribute("uri", uri);
  }

  private void trace(int person) throws XMLStreamException {
    xml.writeStartElement("trace");
    attribute("string", "concept:name", "person " + person);
    if (run.settings().holdOut() > 0) {
      boolean heldOut = run.isHeldOut(person);
      attribute("boolean", "heldOut", Boolean.toString(heldOut));
      if (heldOut) {
        xml.writeEndElement();
        return;
      }
    }
    Diary diary = new Diary();
    run.follow(person, diary);
    for (Turn turn : diary.turns()) {
      if (turn.kind() != Turn.Kind.GOT_TO && turn.kind() != Turn.Kind.WENT_ON) {
        event(turn);
      }
    }
    xml.writeEndElement();
  }

  private void event(Turn turn) throws XMLStreamException {
    Program program = run.world().programs().get(turn.journey());
    xml.writeStartElement("event");
    attribute("string", "concept:name", name(turn, program));
    attribute("date", "time:timestamp", Instant.ofEpochSecond(turn.at()).toString());
    attribute("string", "lifecycle:transition", "complete");
    attribute("string", "journey", program.journey().name());
    attribute("int", "visit", Integer.toString(turn.visit()));
    if (turn.step() >= 0) {
      attribute("string", "step", program.steps().get(turn.step()).id().value());
    }
    xml.writeEndElement();
  }

  private String name(Turn turn, Program program) {
    String what = turn.kind().name().toLowerCase(Locale.ROOT).replace('_', ' ');
    String reason =
        switch (turn.kind()) {
          case LEFT -> ": " + words(LeaveReason.values()[turn.detail()]);
          case SKIPPED -> ": " + words(SkipReason.values()[turn.detail()]);
          case TOOK -> ": arm " + (char) ('A' + turn.detail());
          default -> "";
        };
    String step =
        turn.step() < 0
            ? ""
            : " " + sentences.get(turn.journey()).brief(program.steps().get(turn.step()));
    return what + step + reason;
  }

  private static String words(Enum<?> reason) {
    return reason.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  private void attribute(String type, String key, String value) throws XMLStreamException {
    xml.writeEmptyElement(type);
    xml.writeAttribute("key", key);
    xml.writeAttribute("value", value);
  }
}
