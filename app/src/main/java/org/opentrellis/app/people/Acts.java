package org.opentrellis.app.people;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.stream.Gatherers;
import java.util.stream.LongStream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.app.storage.NewKey;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FieldName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.Operand;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Does things to many people: says first what that would be, and takes it back. */
@Service
public class Acts {
  /** So many are laid down with one statement. */
  private static final int PIECE = 10_000;

  /** So many of the past are shown. */
  private static final int SHOWN = 20;

  /** What is done after so long is answered as done. */
  private static final long A_MOMENT_MILLIS = 1_500;

  private final ActMapper mapper;
  private final ActRunner runner;
  private final People people;
  private final Crowd crowd;
  private final RegisteredNames names;
  private final TransactionTemplate transaction;
  private final Clock clock;

  Acts(
      ActMapper mapper,
      ActRunner runner,
      People people,
      Crowd crowd,
      RegisteredNames names,
      TransactionTemplate transaction,
      Clock clock) {
    this.mapper = mapper;
    this.runner = runner;
    this.people = people;
    this.crowd = crowd;
    this.names = names;
    this.transaction = transaction;
    this.clock = clock;
  }

  /**
   * What would happen.
   *
   * @throws ProblemsFound if it cannot be done
   */
  ManyPreview preview(ManyOrder order) {
    Those these = people.meant(order.people());
    long found = crowd.count(these);
    long changing = crowd.count(these.and(open(order)));
    return new ManyPreview(found, changing, ActWords.would(order, found, changing));
  }

  /** Everybody whom a change would make different. */
  private Those open(ManyOrder order) {
    String value = coded(operand(order));
    return switch (order.change()) {
      case TAG -> tagged(order).not();
      case UNTAG -> tagged(order);
      case PUT_ON_LIST -> onList(order).not();
      case TAKE_OFF_LIST -> onList(order);
      case SET_FIELD -> crowd.holding(name(order), value).not();
      case CLEAR_FIELD -> crowd.holding(name(order), null);
      case STOP_MAILING -> crowd.mailed();
    };
  }

  private Those tagged(ManyOrder order) {
    return crowd.meant(new Condition.HasTag((TagName) name(order)));
  }

  private Those onList(ManyOrder order) {
    return crowd.meant(new Condition.OnList((ListName) name(order)));
  }

  /**
   * Begins it; it is done, or goes on behind the caller.
   *
   * @throws ProblemsFound if it cannot be done
   */
  ActView begin(ManyOrder order) {
    return carryOut(transaction.execute(status -> lay(order)));
  }

  private long lay(ManyOrder order) {
    Those these = people.meant(order.people());
    Optional<Operand> value = operand(order);
    Long number = order.change() == ManyChange.STOP_MAILING ? null : number(order, value);
    Act act =
        Act.begun(
            ActKind.MANY,
            ActWords.says(order),
            clock.instant().getEpochSecond(),
            0,
            order.change(),
            number,
            coded(value));
    long id = keep(act);
    mapper.setSize(id, fill(id, crowd.numbers(these)));
    return id;
  }

  private long fill(long act, LongStream numbers) {
    return numbers
        .boxed()
        .gather(Gatherers.windowFixed(PIECE))
        .mapToLong(piece -> mapper.fill(act, piece.toArray(Long[]::new)))
        .sum();
  }

  private long number(ManyOrder order, Optional<Operand> value) {
    Name name = name(order);
    return name instanceof FieldName field && value.isPresent()
        ? names.number(field, value.get())
        : names.number(name);
  }

  private static Name name(ManyOrder order) {
    String name = order.name() == null ? "" : order.name();
    try {
      return switch (order.change()) {
        case TAG, UNTAG -> new TagName(name);
        case PUT_ON_LIST, TAKE_OFF_LIST -> new ListName(name);
        case SET_FIELD, CLEAR_FIELD -> new FieldName(name);
        case STOP_MAILING -> throw new IllegalStateException("has no name");
      };
    } catch (Refused refused) {
      throw ProblemsFound.refused("/name", refused);
    }
  }

  /** As a change keeps it. */
  private static @Nullable String coded(Optional<Operand> value) {
    return value.map(one -> ValueRow.of("", one).coded()).orElse(null);
  }

  private Optional<Operand> operand(ManyOrder order) {
    if (order.change() != ManyChange.SET_FIELD) {
      return Optional.empty();
    }
    try {
      String typed = order.value() == null ? "" : order.value();
      Optional<Operand> value = names.read((FieldName) name(order), typed);
      if (value.isPresent()) {
        return value;
      }
    } catch (Refused refused) {
      throw ProblemsFound.refused("/value", refused);
    }
    throw new ProblemsFound(
        List.of(new Problem("required", "/value", "Say what the field is set to.")));
  }

  /** The newest first. */
  List<ActView> newest() {
    return mapper.newest(SHOWN).stream()
        .map(act -> ActView.of(act, runner.failure(act.id())))
        .toList();
  }

  /**
   * @throws NotFound if there is none
   */
  ActView view(long id) {
    return ActView.of(find(id), runner.failure(id));
  }

  /** Keeps one that begins, within a transaction; {@link #carryOut} has it done afterwards. */
  public long keep(Act act) {
    NewKey key = new NewKey();
    mapper.insert(act, key);
    return key.id();
  }

  /** Has it done; it is over when this returns, or goes on behind the caller. */
  public ActView carryOut(long id) {
    runner.beginAndWait(id, A_MOMENT_MILLIS);
    return view(id);
  }

  /** Has all that is under way done, and returns when it is. */
  public void finish() {
    runner.finish();
  }

  private Act find(long id) {
    return mapper.find(id).orElseThrow(() -> NotFound.of("change of people", id));
  }

  /**
   * Takes it back, also while it is under way. What somebody has changed since stays.
   *
   * @throws Refusal if it was taken back already
   */
  ActView takeBack(long id) {
    Act act = find(id);
    if (act.state() == ActState.TAKEN_BACK) {
      throw new Refusal(HttpStatus.CONFLICT, "taken-back", "It was taken back already.", null);
    }
    transaction.executeWithoutResult(status -> mapper.move(act.turned(), act.state()));
    if (act.kind() == ActKind.EDIT) {
      // One person does not wait for a table of many thousands.
      runner.runHere(id);
      return view(id);
    }
    return carryOut(id);
  }

  /** Goes on with one that something was in the way of. */
  ActView goOn(long id) {
    return carryOut(find(id).id());
  }
}
