package org.opentrellis.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.messages.MessageLibrary;
import org.opentrellis.app.newsletters.Letterbox;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Reaction;
import org.opentrellis.core.crowd.Rehearsal;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.MessageId;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.newsletter.Going;
import org.opentrellis.core.newsletter.Newsletter;
import org.opentrellis.core.newsletter.NewsletterJourney;
import org.opentrellis.core.newsletter.SubjectTest;
import org.opentrellis.core.newsletter.SubjectVerdict;
import org.opentrellis.core.stats.Proportion;
import org.opentrellis.core.testing.RandomNewsletters;
import org.opentrellis.core.testing.Steps;
import org.opentrellis.core.walk.Turn;
import tools.jackson.databind.JsonNode;

/**
 * Newsletters of all kinds, with texts and with subjects that are tried, do to simulated people
 * what the dry run of the same people said, each thing at its second; and the subject for the rest
 * is the one that the dry run's opens and clicks up to that moment give.
 */
@Tag("thorough")
class NewsletterEqualsDryRunTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(10);

  private static final Letterbox BOX = new Letterbox(APP);
  private static final LiveWorkshop WORKSHOP = new LiveWorkshop(APP);
  private static final int HORIZON = 20;

  /** More with {@code -Dlive.newsletters=60}. */
  private static final int RANDOM = Integer.getInteger("live.newsletters", 6);

  private static final int PEOPLE = 40;
  private static final MessageId TEXT = new MessageId("news-by-text");

  /** So that only the crowds get any. */
  @BeforeAll
  static void theDemosPeopleAreNotMailed() {
    APP.bean(MessageLibrary.class)
        .keep(Message.text(TEXT.value(), "News by text", "There is news in your mail."));
    APP.post(
        "/api/people-acts",
        "{\"people\": {\"find\": \"\", \"search\": \"\", \"chosen\": null}, \"change\": \"STOP_MAILING\", \"name\": null, \"value\": null}");
  }

  @Test
  void ofAllKinds() {
    int lines = 0;
    for (int seed = 0; seed < RANDOM; seed++) {
      Newsletter newsletter =
          RandomNewsletters.of(
              seed, BOX.inHours(24 * 4, false).date(), BOX.message("Choosing a kit"), TEXT);
      lines += goTheSameWay(newsletter, PEOPLE, seed, behaviour -> behaviour);
    }
    assertThat(lines).isGreaterThan(100 * RANDOM);
    WORKSHOP.auditIsClean();
  }

  /** Of 400 people one subject is far better; it goes to the rest, word for word. */
  @Test
  void theBetterSubjectGoesToTheRest() {
    Newsletter plain =
        RandomNewsletters.of(
            0, BOX.inHours(24 * 4, false).date(), BOX.message("Choosing a kit"), TEXT);
    Newsletter tried =
        new Newsletter(
            "Tried on many",
            plain.message(),
            plain.who(),
            Optional.empty(),
            List.of(),
            plain.going().map(at -> new Going(at.date(), at.at(), false)),
            0,
            Optional.of(
                new SubjectTest(List.of("Far better", "As before"), 50, SubjectTest.By.OPENED, 12)),
            Optional.empty(),
            Optional.empty(),
            Optional.empty());
    goTheSameWay(
        tried,
        300,
        77,
        behaviour -> {
          Map<StepId, Reaction> emails = new HashMap<>(behaviour.emails());
          emails.put(NewsletterJourney.tried(1), Steps.reaction(20, 0.1, 0));
          emails.put(NewsletterJourney.tried(0), Steps.reaction(0.2, 0.1, 0));
          return behaviour.edit().emails(emails).done();
        });
    JsonNode newest =
        APP.get("/api/newsletters")
            .body()
            .valueStream()
            .filter(one -> one.get("name").asString().equals("Tried on many"))
            .findFirst()
            .orElseThrow();
    JsonNode view = BOX.view(newest.get("id").asLong());
    assertThat(view.get("says").toString()).contains("That is a difference");
    assertThat(view.get("steps").toString()).contains("The rest: \u201cFar better\u201d");
  }

  private int goTheSameWay(
      Newsletter newsletter, int people, long seed, UnaryOperator<Behaviour> other) {
    long id = BOX.draft(newsletter);
    Journeys journeys = APP.bean(Journeys.class);
    JsonNode kept = APP.get("/api/journeys/" + id).body();
    Behaviour behaviour = other.apply(journeys.find(id).behaviour());
    assertThat(
            APP.put(
                    "/api/journeys/" + id + "/behaviour",
                    "{\"version\": %d, \"behaviour\": %s}"
                        .formatted(
                            kept.get("behaviourVersion").asInt(),
                            Json.write(Documents.write(behaviour))))
                .status())
        .isEqualTo(200);
    assertThat(BOX.plan(id, order -> order).status()).isEqualTo(200);
    Crowds crowds = APP.bean(Crowds.class);
    CrowdOrder order = new CrowdOrder(List.of(id), people, 1, seed);
    DryRun run = crowds.run(order, HORIZON);
    Crowds.CrowdView crowd = crowds.come(order, run);
    List<Rehearsal> all = IntStream.range(0, people).mapToObj(n -> Rehearsal.of(run, n)).toList();
    long last =
        all.stream()
            .flatMap(one -> one.turns().stream())
            .mapToLong(Turn::at)
            .max()
            .orElse(BOX.now());
    WORKSHOP.turnTo(last + 2 * Letterbox.DAY);

    List<Long> guests = APP.bean(GuestMapper.class).of(crowd.crowd());
    int lines = 0;
    for (int n = 0; n < people; n++) {
      List<Turn> turns = all.get(n).turns();
      long end = turns.stream().mapToLong(Turn::at).max().orElse(0);
      List<String> said = SaidAndDone.said(run, turns);
      assertThat(SaidAndDone.done(APP, guests.get(n), end))
          .as("person %d of newsletter %s", n, newsletter)
          .isEqualTo(said);
      lines += said.size();
    }
    assertThat(BOX.phase(id)).isEqualTo("GONE");
    decidedAsSaid(newsletter, id, all);
    return lines;
  }

  private void decidedAsSaid(Newsletter newsletter, long id, List<Rehearsal> all) {
    if (newsletter.subjects().isEmpty()) {
      return;
    }
    SubjectTest tried = newsletter.subjects().get();
    Going going = newsletter.going().orElseThrow();
    long decides =
        going.date().atTime(going.at()).atZone(Letterbox.BERLIN).toEpochSecond()
            + tried.hours() * Letterbox.HOUR;
    List<String> subjects = new ArrayList<>(tried.others());
    subjects.addFirst(
        APP.bean(Catalogues.class)
            .current()
            .message(newsletter.message().orElseThrow())
            .orElseThrow()
            .headline());
    List<Proportion> shares =
        IntStream.range(0, tried.count()).mapToObj(n -> share(n, tried, all, decides)).toList();
    SubjectVerdict expected = SubjectVerdict.of(subjects, shares, tried.by());
    assertThat(BOX.view(id).get("says").valueStream().map(JsonNode::asString))
        .contains(expected.sentence());
    String subject = expected.better() == 0 ? null : subjects.get(expected.better());
    assertThat(
            APP.bean(Journeys.class).find(id).journey().emails().stream()
                .filter(email -> email.id().equals(NewsletterJourney.EMAIL))
                .map(email -> email.subject().orElse(null))
                .filter(Objects::nonNull))
        .isEqualTo(subject == null ? List.of() : List.of(subject));
  }

  private static Proportion share(int subject, SubjectTest tried, List<Rehearsal> all, long by) {
    Set<Integer> delivered = new HashSet<>();
    Set<Integer> did = new HashSet<>();
    for (int n = 0; n < all.size(); n++) {
      for (Happening act : all.get(n).acts()) {
        if (act.at() > by
            || !(act instanceof Happening.OfMessage of)
            || !of.message().step().equals(NewsletterJourney.tried(subject))) {
          continue;
        }
        boolean opened = act instanceof Happening.OpenRecorded || act instanceof Happening.Opened;
        boolean clicked = act instanceof Happening.Clicked;
        if (act instanceof Happening.Delivered) {
          delivered.add(n);
        } else if (tried.by() == SubjectTest.By.OPENED ? opened : clicked) {
          did.add(n);
        }
      }
    }
    return new Proportion(did.size(), delivered.size());
  }
}
