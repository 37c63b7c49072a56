package org.opentrellis.core.dryrun;

import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.PlainProgram;
import org.opentrellis.core.machine.PlainStep;
import org.opentrellis.core.machine.Program;

/** An email that always goes out at once. */
final class PlainSend extends PlainStop {
  private final PlainProgram plain;
  private final @Nullable PlainStop next;
  private final int send;
  private final double[] variants;
  private final int firstVersion;
  private final SendDraws[] draws;
  private final PlainMail mail;
  private final EmailTally email;
  private final long[] sentByVersion;

  PlainSend(
      int number, PlainStep.Send of, PlainProgram plain, PlainWalk walk, @Nullable PlainStop next) {
    super(number, walk.tally);
    this.plain = plain;
    this.next = next;
    Program program = plain.program();
    send = of.send();
    variants = of.variants();
    firstVersion = program.firstVersion(send);
    draws =
        IntStream.range(0, Math.max(1, variants.length))
            .mapToObj(variant -> walk.sampler.draws(firstVersion + variant))
            .toArray(SendDraws[]::new);
    mail = walk.mails[send];
    email = walk.tally.sends[send];
    sentByVersion = walk.tally.sentByVersion;
  }

  @Override
  @Nullable PlainStop act(PlainWalk walk) {
    int variant = variants.length == 0 ? 0 : walk.sampler.lot(number, variants, walk.who.key);
    goesOut(walk, variant);
    if (responds(walk, draws[variant])) {
      Response response = walk.who.response;
      if (response.bounced) {
        return comesBack(walk, response);
      }
      opens(walk, variant, response);
    }
    mail.deliveredAt = walk.now;
    return goOn(walk, next);
  }

  private void goesOut(PlainWalk walk, int variant) {
    long now = walk.now;
    ZoneClock own = walk.who.group.clock;
    sentByVersion[firstVersion + variant]++;
    walk.emails.accept(
        walk.clock == own ? walk.arrivals.hour() : Math.floorDiv(own.local(now), 3600L));
    days.email(now - walk.entryAt);
    walk.sends(send);
    mail.sentAt = now;
  }

  private boolean responds(PlainWalk walk, SendDraws of) {
    Traits who = walk.who;
    return walk.sampler.respond(
        of,
        who,
        who.key,
        who.group.clock,
        walk.now,
        mail.tracked,
        of.tiredPull == null ? 0 : walk.emailsOfTheWeek(),
        walk.sends - walk.sendsBack - 1,
        who.response);
  }

  private @Nullable PlainStop comesBack(PlainWalk walk, Response response) {
    mail.bouncedAt = walk.now;
    walk.sendsBack++;
    email.bounced++;
    if (response.forGood) {
      walk.isGone(walk.now);
    }
    if (walk.outAt <= walk.now) {
      leaves(walk);
      return null;
    }
    return goOn(walk, next);
  }

  private void opens(PlainWalk walk, int variant, Response response) {
    long end = walk.endsAt;
    long openAt = response.openAt;
    long recorded = mail.tracked ? Math.min(response.preloadedAt, openAt) : response.preloadedAt;
    mail.recordedOpenAt = recorded;
    email.opened += recorded <= end ? 1 : 0;
    if (openAt == Person.NEVER) {
      return;
    }
    mail.peopleOpenAt = openAt;
    email.openedByPeople += openAt <= end ? 1 : 0;
    if (response.unsubscribesAt < walk.unsubscribesAt) {
      walk.unsubscribesAt = response.unsubscribesAt;
      walk.unsubscribesBy = send;
      walk.isGone(response.unsubscribesAt);
    }
    if (response.complainsAt < walk.complainsAt) {
      walk.complainsAt = response.complainsAt;
      walk.isGone(response.complainsAt);
    }
    if (response.clickAt != Person.NEVER) {
      clicks(walk, variant, response, end);
    }
  }

  private void clicks(PlainWalk walk, int variant, Response response, long end) {
    mail.clickAt = response.clickAt;
    mail.clickSlot = plain.linkSlot(send, variant, response.link);
    int clicked = response.clickAt <= end ? 1 : 0;
    email.clicked += clicked;
    if (response.link >= 0) {
      email.byLink[variant][response.link] += clicked;
    }
    if (response.orderAt != Person.NEVER) {
      if (response.orderAt <= end) {
        email.buyers++;
        email.revenueCents += response.cents;
      }
      walk.buys(response.orderAt, response.offer, response.cents);
    }
  }
}
