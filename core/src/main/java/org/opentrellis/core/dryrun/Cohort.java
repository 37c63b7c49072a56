package org.opentrellis.core.dryrun;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.behaviour.Reaction;
import org.opentrellis.core.journey.Channel;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.machine.Outside;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Sent;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.random.Draws;
import org.opentrellis.core.random.QuantileTable;

/**
 * People made ready to be sent through some journeys: who they are is said by the first journey's
 * assumptions, what they do with a message by its own journey's. Immutable.
 */
final class Cohort implements Outside {
  private final List<GroupDraws> groups;
  private final Shop shop;
  private final Sampler[] samplers;

  /**
   * @param behaviours by journey
   */
  Cohort(World world, List<Behaviour> behaviours, CohortSettings settings) {
    this.groups = GroupDraws.all(behaviours.get(0).groups(), world, settings);
    this.shop = new Shop(behaviours.get(0));
    this.samplers =
        world.programs().stream()
            .map(program -> sampler(program, behaviours.get(program.number()), shop))
            .toArray(Sampler[]::new);
  }

  private static Sampler sampler(Program program, Behaviour behaviour, Shop shop) {
    AttentionClock attention = AttentionClock.of(behaviour.attention());
    QuantileTable clickDelay =
        QuantileTable.logNormal(
            behaviour.clickMedianMinutes().value() * 60, behaviour.clickSigma().value());
    String prefix = prefix(program);
    long[] lots =
        program.steps().stream()
            .mapToLong(step -> Draws.address(Purposes.LOT, prefix + step.id().value()))
            .toArray();
    return new Sampler(draws(program, behaviour, clickDelay, attention), lots, shop);
  }

  /** Draws of the first journey are addressed by step alone, so that its variants share them. */
  private static String prefix(Program program) {
    return program.number() == 0 ? "" : program.number() + ":";
  }

  private static SendDraws[] draws(
      Program program,
      Behaviour behaviour,
      QuantileTable clickDelay,
      @Nullable AttentionClock attention) {
    QuantileTable open =
        QuantileTable.logNormal(
            behaviour.openMedianHours().value() * 3600, behaviour.openSigma().value());
    QuantileTable read =
        QuantileTable.logNormal(
            behaviour.textMedianMinutes().value() * 60, behaviour.clickSigma().value());
    SendDraws[] all = new SendDraws[program.versions()];
    for (int send = 0; send < program.sends().size(); send++) {
      Step.Send step = program.sends().get(send);
      boolean text = step.channel() == Channel.TEXT;
      List<Message> versions = program.messages(send);
      for (int version = 0; version < versions.size(); version++) {
        all[program.firstVersion(send) + version] =
            new SendDraws(
                prefix(program) + step.id().value(),
                reaction(step, version, behaviour),
                versions.get(version).links().size(),
                text,
                behaviour,
                text ? read : open,
                clickDelay,
                attention);
      }
    }
    return all;
  }

  /** What is assumed of a variant, else of its step, else of any email. */
  private static Reaction reaction(Step.Send step, int version, Behaviour behaviour) {
    if (!step.versions().isEmpty()) {
      StepId variant = step.versions().get(version).id();
      Reaction own = behaviour.emails().get(variant);
      if (own != null) {
        return own;
      }
    }
    return behaviour.reactionTo(step.id());
  }

  List<GroupDraws> groups() {
    return groups;
  }

  Shop shop() {
    return shop;
  }

  /** Decides as these people do. */
  @Override
  public Outside of(Program program) {
    return sampler(program);
  }

  /** Draws what these people do in a journey. */
  Sampler sampler(Program program) {
    return samplers[program.number()];
  }

  @Override
  public int lot(int step, double[] ways, Visit visit) {
    return of(visit.program()).lot(step, ways, visit);
  }

  @Override
  public void send(Sent message) {
    of(message.visit().program()).send(message);
  }
}
