package org.opentrellis.core.machine;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.opentrellis.core.journey.Goal;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.TagName;

/**
 * A journey made ready to run: steps as numbered nodes in the order of the run sheet, emails, tags
 * and lists as numbers. Immutable and safe to share between threads.
 */
public final class Program {
  static final int END = -1;

  private final Journey journey;
  private final List<Step> steps;
  private final Node[] nodes;
  private final int first;
  private final List<Step.SendEmail> emails;
  private final Map<MessageId, List<LinkName>> links;
  private final RecordMarks marks;
  private final Optional<Question> entryFilter;

  private Program(Journey journey, Map<MessageId, List<LinkName>> links) {
    this.journey = journey;
    this.links = Map.copyOf(links);
    this.steps = journey.steps().toList();
    this.emails = journey.emails();
    this.marks = RecordMarks.of(journey);
    Compiler compiler = new Compiler(steps, emails, links, marks);
    this.nodes = compiler.compile(journey.body());
    this.entryFilter = journey.entryFilter().map(compiler::question);
    this.first = journey.body().isEmpty() ? END : 0;
  }

  /**
   * Compiles a journey.
   *
   * <p>A condition about an email or link that is not there never holds.
   *
   * @param links the links of each message, by which conditions and clicks name them
   */
  public static Program compile(Journey journey, Map<MessageId, List<LinkName>> links) {
    return new Program(journey, links);
  }

  public Journey journey() {
    return journey;
  }

  /** The steps by node number. */
  public List<Step> steps() {
    return steps;
  }

  /** The emails by email number. */
  public List<Step.SendEmail> emails() {
    return emails;
  }

  /** How many links the email's message has. */
  public int linkCount(int email) {
    return links.getOrDefault(emails.get(email).message(), List.of()).size();
  }

  public Optional<Goal> goal() {
    return journey.goal();
  }

  /** A state for one person after another to go through this program. */
  public PersonState newState() {
    return new PersonState(emails.size());
  }

  /** The number of a tag, if the journey has to do with it. */
  public OptionalInt mark(TagName tag) {
    return marks.find(tag);
  }

  /** The number of a list, if the journey has to do with it. */
  public OptionalInt mark(ListName list) {
    return marks.find(list);
  }

  /** Whether the entry filter lets a person in. */
  public boolean admits(PersonState person) {
    return entryFilter.map(filter -> filter.holds(person, person.now)).orElse(true);
  }

  int first() {
    return first;
  }

  Node node(int number) {
    return nodes[number];
  }
}
