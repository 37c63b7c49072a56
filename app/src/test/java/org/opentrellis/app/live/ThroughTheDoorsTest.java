package org.opentrellis.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.people.Guests;
import org.opentrellis.core.crowd.Rehearsal;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.MessageRef;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;

/**
 * People who get real mail over SMTP, load its picture, follow its links through the redirect, buy
 * over HTTP and unsubscribe by one click, when the dry run's people do: the same happens to them,
 * counted by step and day. Those whose mail comes back at once are left out, since no stand-in says
 * so at once.
 */
class ThroughTheDoorsTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(20);

  private static final LiveWorkshop WORKSHOP = new LiveWorkshop(APP);
  private static final long DAY = 24 * 3600;
  private static final int HORIZON = 30;

  /** 50 take three minutes: {@code -Dlive.crowd=50}. */
  private static final int PEOPLE = Integer.getInteger("live.crowd", 8);

  private static final Pattern MARK = Pattern.compile("[^\"']*/o/[\\w-]+\\.gif");

  private final HttpClient browser =
      HttpClient.newBuilder().followRedirects(HttpClient.Redirect.NEVER).build();
  private long journey;

  /** Something that one of them does, or that happens to them. */
  private record Act(Somebody who, Happening what) {}

  private record Somebody(long id, String address, Rehearsal rehearsal) {}

  @Test
  void aSmallCrowdOverHttpAndSmtp() {
    journey =
        APP.bean(Journeys.class).names().stream()
            .filter(one -> one.name().equals("First frames"))
            .findFirst()
            .orElseThrow()
            .id();
    APP.bean(TransactionTemplate.class)
        .executeWithoutResult(status -> APP.bean(OpenJourneys.class).open(journey, true));
    Crowds.CrowdOrder order = new Crowds.CrowdOrder(List.of(journey), PEOPLE, 2, 23);
    DryRun run = APP.bean(Crowds.class).run(order, HORIZON);
    List<Somebody> crowd = crowd(run);
    assertThat(crowd).hasSizeGreaterThan(PEOPLE / 2);

    List<Act> acts = new ArrayList<>();
    crowd.forEach(who -> who.rehearsal().acts().forEach(act -> acts.add(new Act(who, act))));
    acts.sort(Comparator.comparingLong(act -> act.what().at()));
    for (Act act : acts) {
      long now = APP.get("/api/live").body().at("/clock/now").asLong();
      if (act.what().at() > now) {
        WORKSHOP.turnTo(act.what().at());
      }
      happens(act.who(), act.what());
    }
    long end = acts.getLast().what().at() + 20 * DAY;
    WORKSHOP.turnTo(end);

    Map<String, Integer> said = new TreeMap<>();
    Map<String, Integer> did = new TreeMap<>();
    for (Somebody who : crowd) {
      count(said, LiveEqualsDryRunTest.said(run, who.rehearsal().turns()));
      count(did, LiveEqualsDryRunTest.done(APP, who.id(), end));
    }
    assertThat(did).isEqualTo(said);
    assertThat(said).hasSizeGreaterThan(8);
    WORKSHOP.auditIsClean();
  }

  private List<Somebody> crowd(DryRun run) {
    List<Somebody> crowd = new ArrayList<>();
    long now = APP.get("/api/live").body().at("/clock/now").asLong();
    for (int n = 0; n < PEOPLE; n++) {
      Rehearsal rehearsal = Rehearsal.of(run, n);
      if (rehearsal.acts().stream().noneMatch(Happening.Bounced.class::isInstance)) {
        String address = "door%d@example.com".formatted(n);
        long id = APP.bean(Guests.class).add(address, "Ida", "Test", rehearsal.begun(), now);
        crowd.add(new Somebody(id, address, rehearsal));
      }
    }
    return crowd;
  }

  private static void count(Map<String, Integer> counts, List<String> lines) {
    for (String line : lines) {
      String[] parts = line.split(" ", 2);
      counts.merge(Long.parseLong(parts[0]) / DAY + " " + parts[1], 1, Integer::sum);
    }
  }

  private void happens(Somebody who, Happening what) {
    switch (what) {
      case Happening.Came came ->
          assertThat(WORKSHOP.putIn(journey, who.id()).status()).isEqualTo(200);
      case Happening.OpenRecorded open -> fetch(picture(mail(who, open.message())), true);
      case Happening.Opened open -> fetch(picture(mail(who, open.message())), false);
      case Happening.Clicked click -> {
        JsonNode mail = mail(who, click.message());
        fetch(LiveWorkshop.link(mail, click.link().orElseThrow().value()), false);
      }
      case Happening.Ordered ordered ->
          assertThat(
                  APP.post(
                          "/api/events",
                          """
                          {"specversion": "1.0", "id": "%s-%d", "source": "/shop",
                           "type": "order.placed",
                           "data": {"email": "%s", "order": "%s", "total": %s}}
                          """
                              .formatted(
                                  ordered.order(),
                                  who.id(),
                                  who.address(),
                                  ordered.order() + "-" + who.id(),
                                  ordered.total().cents() / 100.0))
                      .status())
              .isEqualTo(200);
      case Happening.ConsentWithdrawn withdrawn -> {
        JsonNode mail = mail(who, withdrawn.becauseOf().orElseThrow());
        WORKSHOP.oneClick(
            LiveWorkshop.header(mail, "List-Unsubscribe").replaceAll("[<>]", "").strip());
      }
      case Happening.Complained complained -> {
        long mail = WORKSHOP.mails(who.address()).getFirst().at("/line/id").asLong();
        APP.post("/api/inbox/" + mail + "/deeds", "{\"deed\": \"COMPLAIN\", \"link\": null}");
      }
      // The mail server itself has said so.
      case Happening.Delivered delivered -> {}
      default -> throw new AssertionError("nobody does " + what);
    }
  }

  /** The mail that a message came as. */
  private JsonNode mail(Somebody who, MessageRef message) {
    long outbox =
        APP.bean(OutboxMapper.class).of(who.id()).stream()
            .filter(row -> row.message().equals(message))
            .findFirst()
            .orElseThrow(() -> new AssertionError("no " + message + " for " + who))
            .id();
    return WORKSHOP.mails(who.address()).stream()
        .filter(
            mail -> LiveWorkshop.header(mail, "Message-ID").startsWith("<t%d.".formatted(outbox)))
        .findFirst()
        .orElseThrow(() -> new AssertionError("no mail for " + message));
  }

  private static String picture(JsonNode mail) {
    Matcher mark = MARK.matcher(mail.get("html").asString());
    assertThat(mark.find()).as("%s", mail.get("html")).isTrue();
    return mark.group();
  }

  private void fetch(String address, boolean ahead) {
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create(APP.address() + URI.create(address).getPath()));
    if (ahead) {
      request.header("Sec-Purpose", "prefetch");
    }
    try {
      int status =
          browser.send(request.build(), HttpResponse.BodyHandlers.discarding()).statusCode();
      assertThat(status).isLessThan(400);
    } catch (java.io.IOException failed) {
      throw new java.io.UncheckedIOException(failed);
    } catch (InterruptedException stopped) {
      throw new IllegalStateException(stopped);
    }
  }
}
