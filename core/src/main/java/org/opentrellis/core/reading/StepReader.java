package org.opentrellis.core.reading;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.FreshIds;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.Notice;
import org.opentrellis.core.journey.RecordChange;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;

/**
 * Reads what a step does. Where a sentence takes the place of a step's, the step keeps its id and
 * what is inside it.
 */
final class StepReader {
  private final Cursor cursor;
  private final Scope scope;
  private final FreshIds ids;
  private final @Nullable Step old;
  private final PartingReader partings;

  /**
   * @param old the step that the sentence is to take the place of, or null for a new one
   */
  StepReader(Cursor cursor, Scope scope, FreshIds ids, @Nullable Step old) {
    this.cursor = cursor;
    this.scope = scope;
    this.ids = ids;
    this.old = old;
    this.partings = new PartingReader(cursor, scope, ids, old);
  }

  /** The step, or null if no step's sentence begins here. */
  @Nullable Step read() {
    Step into = handOver();
    if (into != null) {
      return into;
    }
    Step sent = new SendReader(cursor, scope, ids, old).read(this::id);
    if (sent != null) {
      return sent;
    }
    if (cursor.any("wait", "pause|hold")) {
      return new Step.Wait(id("wait"), new WaitReader(cursor, scope).rule());
    }
    if (cursor.any("branch on", "branch( if)?")) {
      return partings.branch(id("branch"));
    }
    if (cursor.any("split by lot", "split( them| people| the people)?( by lot)?( by|:)?")) {
      return partings.split(id("split"));
    }
    return others();
  }

  private @Nullable Step others() {
    if (cursor.any("go through strand", "(go through |follow )?(the )?strand|go through")) {
      return new Step.Include(id("strand"), new NameReader(cursor, scope).strand());
    }
    if (cursor.any("tell", "(notify|alert|inform|let)")) {
      return new Step.Notify(id("notify"), notice());
    }
    if (cursor.any(
        "finish the journey",
        "(finish|end|stop|exit|leave|close)( (the|this) journey)?( here)?|that is (all|it)|that's (all|it)|the end|done")) {
      return new Step.Finish(id("finish"));
    }
    List<RecordChange> changes = new ChangeReader(cursor, scope).read();
    return changes.isEmpty() ? null : new Step.Change(id("change"), changes);
  }

  private StepId id(String kind) {
    return old == null ? ids.next(kind) : old.id();
  }

  private static final String INTO_JOURNEY =
      "(hand|pass|move|put|send|bring|add|take)( them| him| her)?( over| on)? ((in)?to|onto|through|into) (the )?journey"
          + "|(hand|pass)( them| him| her)? (over|on) (to|into)( the)?|(continue|go on|carry on) (with|in) (the )?journey"
          + "|(start|enter|begin) (the )?journey|into (the )?journey";

  private @Nullable Step handOver() {
    int here = cursor.end();
    boolean sure = cursor.any("hand over to journey", INTO_JOURNEY);
    boolean perhaps =
        !sure
            && cursor.says(
                "(move|put|send|bring|take)( them| him| her)?( over| on)? (in)?to( the)?|start");
    if (!sure && !perhaps) {
      return null;
    }
    int from = cursor.at();
    if (perhaps && scope.journeys().stream().noneMatch(cursor::seesWords)) {
      cursor.back(here);
      return null;
    }
    String name = cursor.name("journey", scope.journeys(), "and", "then", "journey");
    cursor.says("journey");
    boolean finish =
        cursor.also(
            "and finish here", "(and )?(finish|end|leave|stop)( here| this( one| journey)?)?");
    if (!finish) {
      cursor.also("and go on here", "(and )?(go on|stay|continue)( here)?");
    }
    StepId id = id("hand-over");
    return cursor.meaning(from, () -> new Step.HandOver(id, new JourneyName(name), finish));
  }

  private Notice notice() {
    int from = cursor.at();
    String to = cursor.name("teammate", List.of(), "know", "that", "to");
    if (to.startsWith("http") && !cursor.silently(":")) {
      return cursor.meaning(from, () -> new Notice.WebAddress(to));
    }
    if (to.startsWith("http")) {
      cursor.back(from);
      String url = cursor.rest();
      return cursor.meaning(from, () -> new Notice.WebAddress(url));
    }
    if (!cursor.says("know( that)?:?|that|to(?= )")) {
      cursor.require(":");
    }
    String text = cursor.atQuote() ? cursor.quoted("what to tell") : cursor.rest();
    return cursor.meaning(from, () -> new Notice.Teammate(to, text));
  }

  /** The new question of an arm. */
  Condition question() {
    return partings.question();
  }

  /** The new share of an arm. */
  double share() {
    return SendReader.percent(cursor);
  }
}
