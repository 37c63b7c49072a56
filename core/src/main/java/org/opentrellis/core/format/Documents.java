package org.opentrellis.core.format;

import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.CohortPlan;
import org.opentrellis.core.entrance.ChoicesPage;
import org.opentrellis.core.entrance.Entrance;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.Segment;
import org.opentrellis.core.journey.Strand;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.message.HouseStyle;
import org.opentrellis.core.message.Manuscript;
import org.opentrellis.core.message.Part;
import org.opentrellis.core.news.NewsSeries;
import org.opentrellis.core.newsletter.Newsletter;
import org.opentrellis.core.problem.Problems;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.search.Leeway;
import org.opentrellis.core.search.SearchWish;
import tools.jackson.databind.JsonNode;

/**
 * Reads and writes journeys and what belongs to them as JSON. What is wrong is told all at once,
 * each with its place as a JSON Pointer; a file's problems also with line and column.
 */
public final class Documents {
  /** Where people live of whom nothing is said. */
  public static final ZoneId USUAL_ZONE = ZoneId.of("Europe/Berlin");

  private Documents() {}

  /**
   * A journey file.
   *
   * @throws ProblemsFound with every problem, its place, line and column
   */
  public static JourneyFile readFile(String text) {
    JsonNode tree = Json.tree(text);
    try {
      Problems problems = new Problems();
      JsonNode filled =
          TypicalValues.fillFile(FourthVersion.file(ThirdVersion.file(SecondVersion.file(tree))));
      Optional<Object> read = new DocumentReader(problems).read(filled, JourneyFile.class, "");
      problems.throwIfAny();
      JourneyFile file = (JourneyFile) read.orElseThrow();
      try {
        JourneyRules.check(file.journey(), file.catalogue(), "/journey", problems);
        JourneyRules.check(file.catalogue(), problems);
      } catch (Refused twice) {
        problems.add(twice.code(), "", twice.sentence());
      }
      problems.throwIfAny();
      return file;
    } catch (ProblemsFound found) {
      throw Located.in(text, found);
    }
  }

  /** As short as may be, and readable. */
  public static String writeFile(JourneyFile file) {
    return Pretty.print(new DocumentWriter(false).write(file, JourneyFile.class));
  }

  /**
   * @param catalogue what the journey may refer to
   * @throws ProblemsFound with every problem and its place
   */
  public static Journey readJourney(JsonNode given, Catalogue catalogue) {
    Journey journey = read(given, Journey.class);
    Problems problems = new Problems();
    JourneyRules.check(journey, catalogue, "", problems);
    problems.throwIfAny();
    return journey;
  }

  /**
   * A journey as it was kept, in whatever version of the format.
   *
   * @throws ProblemsFound with every problem and its place
   */
  public static Journey readKeptJourney(String kept, Catalogue catalogue) {
    JsonNode journey = ThirdVersion.journey(FirstVersion.journey(Json.tree(kept)));
    return readJourney(journey, catalogue);
  }

  /** With everything said, also what is empty. */
  public static JsonNode write(Journey journey) {
    return new DocumentWriter(true).write(journey, Journey.class);
  }

  /**
   * What is not said is typical.
   *
   * @throws ProblemsFound with every problem and its place
   */
  public static Behaviour readBehaviour(JsonNode given) {
    return read(TypicalValues.fillBehaviour(given), Behaviour.class);
  }

  /** Assumptions as they were kept, in whatever version of the format. */
  public static Behaviour readKeptBehaviour(String kept) {
    return readBehaviour(FirstVersion.behaviour(Json.tree(kept)));
  }

  public static JsonNode write(Behaviour behaviour) {
    return new DocumentWriter(true).write(behaviour, Behaviour.class);
  }

  /**
   * Who enters; what is not said of a group is typical.
   *
   * @throws ProblemsFound with every problem and its place
   */
  public static CohortPlan readCohort(JsonNode given) {
    return read(TypicalValues.fillCohort(given), CohortPlan.class);
  }

  public static JsonNode write(CohortPlan cohort) {
    return new DocumentWriter(true).write(cohort, CohortPlan.class);
  }

  /**
   * @throws ProblemsFound with every problem and its place
   */
  public static Message readMessage(JsonNode given) {
    return read(given, Message.class);
  }

  public static JsonNode write(Message message) {
    return new DocumentWriter(true).write(message, Message.class);
  }

  /**
   * A message as it is written.
   *
   * @throws ProblemsFound with every problem and its place
   */
  public static Manuscript readManuscript(JsonNode given) {
    return read(given, Manuscript.class);
  }

  public static JsonNode write(Manuscript manuscript) {
    return new DocumentWriter(true).write(manuscript, Manuscript.class);
  }

  public static JsonNode write(Part part) {
    return new DocumentWriter(true).write(part, Part.class);
  }

  /**
   * @throws ProblemsFound with every problem and its place
   */
  public static Entrance readEntrance(JsonNode given) {
    return read(given, Entrance.class);
  }

  public static JsonNode write(Entrance entrance) {
    return new DocumentWriter(true).write(entrance, Entrance.class);
  }

  /**
   * @throws ProblemsFound with every problem and its place
   */
  public static Newsletter readNewsletter(JsonNode given) {
    return read(given, Newsletter.class);
  }

  public static JsonNode write(Newsletter newsletter) {
    return new DocumentWriter(true).write(newsletter, Newsletter.class);
  }

  /**
   * @throws ProblemsFound with every problem and its place
   */
  public static NewsSeries readNewsSeries(JsonNode given) {
    return read(given, NewsSeries.class);
  }

  public static JsonNode write(NewsSeries series) {
    return new DocumentWriter(true).write(series, NewsSeries.class);
  }

  /**
   * @throws ProblemsFound with every problem and its place
   */
  public static ChoicesPage readChoicesPage(JsonNode given) {
    return read(given, ChoicesPage.class);
  }

  public static JsonNode write(ChoicesPage page) {
    return new DocumentWriter(true).write(page, ChoicesPage.class);
  }

  /**
   * @throws ProblemsFound with every problem and its place
   */
  public static HouseStyle readHouseStyle(JsonNode given) {
    return read(given, HouseStyle.class);
  }

  public static JsonNode write(HouseStyle style) {
    return new DocumentWriter(true).write(style, HouseStyle.class);
  }

  /**
   * @throws ProblemsFound with every problem and its place
   */
  public static Catalogue readCatalogue(JsonNode given) {
    return read(SecondVersion.catalogue(given), Catalogue.class);
  }

  public static JsonNode write(Catalogue catalogue) {
    return new DocumentWriter(true).write(catalogue, Catalogue.class);
  }

  /**
   * @throws ProblemsFound with every problem and its place
   */
  public static Strand readStrand(JsonNode given) {
    return read(given, Strand.class);
  }

  /**
   * @throws ProblemsFound with every problem and its place
   */
  public static Segment readSegment(JsonNode given) {
    return read(given, Segment.class);
  }

  public static JsonNode write(Strand strand) {
    return new DocumentWriter(true).write(strand, Strand.class);
  }

  public static JsonNode write(Segment segment) {
    return new DocumentWriter(true).write(segment, Segment.class);
  }

  /**
   * A person as they were put down.
   *
   * @throws ProblemsFound with every problem and its place
   */
  public static PersonState readStanding(JsonNode given) {
    return read(given, PersonState.class);
  }

  public static JsonNode write(PersonState standing) {
    return new DocumentWriter(false).write(standing, PersonState.class);
  }

  /**
   * @throws ProblemsFound with every problem and its place
   */
  public static Happening readHappening(JsonNode given) {
    return read(given, Happening.class);
  }

  public static JsonNode write(Happening happening) {
    return new DocumentWriter(false).write(happening, Happening.class);
  }

  /**
   * @throws ProblemsFound with every problem and its place
   */
  public static SearchWish readSearch(JsonNode given) {
    return read(given, SearchWish.class);
  }

  public static JsonNode write(Leeway leeway) {
    return new DocumentWriter(true).write(leeway, Leeway.class);
  }

  public static JsonNode write(SearchWish wish) {
    return new DocumentWriter(true).write(wish, SearchWish.class);
  }

  /**
   * Checks strands and segments by what holds beyond the form of their parts.
   *
   * @throws ProblemsFound with every problem and its place
   */
  public static void check(Catalogue catalogue) {
    Problems problems = new Problems();
    JourneyRules.check(catalogue, problems);
    problems.throwIfAny();
  }

  private static <T> T read(JsonNode given, Class<T> type) {
    Problems problems = new Problems();
    Optional<Object> read = new DocumentReader(problems).read(given, type, "");
    problems.throwIfAny();
    return type.cast(read.orElseThrow());
  }

  /** The types that the format is made of, for its schema. */
  static List<Class<?>> roots() {
    return List.of(
        JourneyFile.class,
        Catalogue.class,
        CohortPlan.class,
        Manuscript.class,
        HouseStyle.class,
        Entrance.class,
        ChoicesPage.class,
        Newsletter.class,
        NewsSeries.class,
        SearchWish.class);
  }
}
