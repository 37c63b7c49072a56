package org.opentrellis.app.revisions;

import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Numbers that grow with changes, in the database; so a number that was read says what was
 * committed by then.
 */
@Component
public class Revisions {
  /** What a number is of. */
  public enum Kind {
    /** Messages, strands and segments. */
    CATALOGUE,
    /** What journeys need to know of each other. */
    NEIGHBOURS,
    /** The same, and the names that journeys use. */
    FACTS,
    /** What people can enter. */
    EDITIONS
  }

  private final RevisionMapper mapper;

  Revisions(RevisionMapper mapper) {
    this.mapper = mapper;
  }

  /** As it is committed, or as this transaction has changed it. */
  public long now(Kind kind) {
    return mapper.now(kind);
  }

  /**
   * Lets nobody else change journeys or the catalogue until this transaction is over: what is read
   * of them from here on stays true until then.
   */
  public void hold() {
    mapper.hold();
  }

  /** Says that something has changed; needs {@link #hold}. */
  public long grow(Kind kind) {
    mapper.grow(kind);
    if (!TransactionSynchronizationManager.hasResource(this)) {
      TransactionSynchronizationManager.bindResource(this, true);
      afterwards(committed -> TransactionSynchronizationManager.unbindResource(this));
    }
    return mapper.now(kind);
  }

  /**
   * The picture of something as it is at its number now.
   *
   * @param renew makes it from the last one, which is null the first time
   */
  public <T> T see(Kind kind, Snapshot<T> snapshot, Function<@Nullable T, T> renew) {
    long number = now(kind);
    Snapshot.Taken<T> last = snapshot.last();
    if (last != null && last.number() >= number) {
      return last.value();
    }
    Snapshot.Taken<T> taken =
        new Snapshot.Taken<>(number, renew.apply(last == null ? null : last.value()));
    if (TransactionSynchronizationManager.hasResource(this)) {
      // What this transaction has changed may still come to nothing.
      afterwards(
          committed -> {
            if (committed) {
              snapshot.keep(taken);
            }
          });
    } else {
      snapshot.keep(taken);
    }
    return taken.value();
  }

  private static void afterwards(java.util.function.Consumer<Boolean> what) {
    TransactionSynchronizationManager.registerSynchronization(
        new TransactionSynchronization() {
          @Override
          public void afterCompletion(int status) {
            what.accept(status == STATUS_COMMITTED);
          }
        });
  }
}
