package org.opentrellis.core.export;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;
import static org.opentrellis.core.testing.Steps.BERLIN;
import static org.opentrellis.core.testing.Steps.MESSAGES;
import static org.opentrellis.core.testing.Steps.branch;
import static org.opentrellis.core.testing.Steps.group;
import static org.opentrellis.core.testing.Steps.journey;
import static org.opentrellis.core.testing.Steps.opened;
import static org.opentrellis.core.testing.Steps.pause;
import static org.opentrellis.core.testing.Steps.send;
import static org.opentrellis.core.testing.Steps.tag;
import static org.opentrellis.core.testing.Steps.untilNine;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.StringReader;
import java.time.Instant;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javax.xml.parsers.DocumentBuilderFactory;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.Test;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.JourneyTally;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.measure.RunMeasures;
import org.opentrellis.core.testing.Steps;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

/**
 * What other programs get, read with readers that are not ours: the platform's XML parser against
 * the terms of IEEE 1849-2016, and ical4j's against RFC 5545.
 */
class ExportsTest {
  private static final int PEOPLE = 300;
  private static final Journey JOURNEY =
      journey(
          send("first"),
          pause("later", 2, TimeUnit.DAYS),
          untilNine("nine"),
          branch(
              "read it",
              opened("first"),
              null,
              List.of(tag("reader", "a \"b\" <c> & d")),
              List.of()),
          send("second"));

  private static DryRun run(double holdOut) {
    Instant monday = Instant.parse("2027-03-01T00:00:00Z");
    return new DryRun(
        JOURNEY,
        MESSAGES,
        Steps.behaviour(group(new Keenness(0.5, 0.2), 0.1), 0.1),
        new CohortSettings(
            PEOPLE,
            5,
            monday,
            60,
            new org.opentrellis.core.behaviour.ArrivalPlan.Evenly(7),
            holdOut));
  }

  private static List<Element> elements(Element of, String name) {
    NodeList found = of.getElementsByTagName(name);
    List<Element> all = new ArrayList<>();
    for (int i = 0; i < found.getLength(); i++) {
      all.add((Element) found.item(i));
    }
    return all;
  }

  private static List<Element> traces(DryRun run) throws Exception {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    EventLog.write(run, out);
    var parser = DocumentBuilderFactory.newInstance().newDocumentBuilder();
    Element log = parser.parse(new ByteArrayInputStream(out.toByteArray())).getDocumentElement();
    assertThat(elements(log, "extension")).hasSize(3);
    return elements(log, "trace");
  }

  private static Map<String, String> attributes(Element of) {
    Map<String, String> all = new HashMap<>();
    for (var child = of.getFirstChild(); child != null; child = child.getNextSibling()) {
      if (child instanceof Element one && one.hasAttribute("key")) {
        all.put(one.getAttribute("key"), one.getAttribute("value"));
      }
    }
    return all;
  }

  @Test
  void theEventLogHoldsWhatTheTalliesCount() throws Exception {
    DryRun run = run(0);
    JourneyTally tally = run.run(1).journey();
    Map<String, Long> sends = new HashMap<>();
    long left = 0;
    List<Element> traces = traces(run);
    for (Element trace : traces) {
      String before = "";
      for (Element event : elements(trace, "event")) {
        Map<String, String> what = attributes(event);
        assertThat(what.get("time:timestamp")).isGreaterThanOrEqualTo(before);
        before = what.get("time:timestamp");
        if (what.get("concept:name").startsWith("sent ")) {
          sends.merge(what.get("step"), 1L, Long::sum);
        }
        left += what.get("concept:name").startsWith("left ") ? 1 : 0;
      }
    }
    assertThat(traces).hasSize(PEOPLE);
    assertThat(sends)
        .containsEntry("first", tally.sends().get(0).sent())
        .containsEntry("second", tally.sends().get(1).sent());
    assertThat(left).isEqualTo(tally.left()).isPositive();
  }

  @Test
  void whoIsHeldOutIsMarkedAndHasNoEvents() throws Exception {
    DryRun run = run(0.3);
    long heldOut = run.run(1).journey().heldOut();
    List<Element> marked =
        traces(run).stream().filter(t -> attributes(t).get("heldOut").equals("true")).toList();
    assertThat(marked).hasSize((int) heldOut).isNotEmpty();
    assertThat(marked).allSatisfy(trace -> assertThat(elements(trace, "event")).isEmpty());
  }

  @Test
  void theSendPlanHasAnEventForEachMessageAtTheTimeItUsuallyGoes() throws Exception {
    DryRun run = run(0);
    String text = SendPlan.of(run, List.of(RunMeasures.of(run.run(1), 0)));
    var calendar = new CalendarBuilder().build(new StringReader(text));
    assertThat(calendar.validate().hasErrors()).isFalse();
    List<VEvent> events = calendar.getComponents("VEVENT");
    assertThat(events).hasSize(2);
    Instant second = Instant.from(events.get(1).getDateTimeStart().getDate());
    assertThat(second.atZone(BERLIN).toLocalTime()).isEqualTo(LocalTime.of(9, 0));
    assertThat(text)
        .as("RFC 5545, section 3.2.19: a zone that is named needs a VTIMEZONE")
        .doesNotContain("TZID");
    assertThat(events)
        .extracting(event -> event.getUid().orElseThrow().getValue())
        .doesNotHaveDuplicates();
    assertThat(longestLine(text)).isLessThanOrEqualTo(75);
  }

  /** RFC 5545, section 3.1: no line is longer than 75 octets, and no character is parted. */
  @Test
  void linesAreFoldedByOctets() {
    String name = "SUMMARY:" + "\u201cB\u00e4rlauch\u201d \ud83d\udc1d".repeat(20);
    String folded = Folding.fold(name);
    assertThat(longestLine(folded)).isBetween(70, 75);
    assertThat(folded.replace("\r\n ", "")).isEqualTo(name + "\r\n");
    assertThat(Folding.fold(folded)).isEqualTo(folded);
  }

  private static int longestLine(String text) {
    return text.lines().mapToInt(line -> line.getBytes(UTF_8).length).max().orElseThrow();
  }
}
