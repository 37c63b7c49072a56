package org.opentrellis.app.storage;

import com.zaxxer.hikari.HikariDataSource;
import java.sql.Connection;
import java.sql.SQLException;
import org.apache.ibatis.executor.Executor;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.plugin.Interceptor;
import org.apache.ibatis.plugin.Intercepts;
import org.apache.ibatis.plugin.Invocation;
import org.apache.ibatis.plugin.Signature;
import org.h2.mvstore.MVStoreException;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * What "saved" means: every statement that changes something passes here. It is refused before it
 * begins when there is no room, and its transaction returns only when what was committed is on the
 * disk. (The commit writes the file; this forces it through the operating system. The database's
 * own {@code checkpoint sync} would write all that others have not committed yet as well, and it
 * would be written again.)
 */
@Component
@Intercepts(
    @Signature(
        type = Executor.class,
        method = "update",
        args = {MappedStatement.class, Object.class}))
class Keeping implements Interceptor {
  private final HikariDataSource pool;
  private final StorageWatch watch;
  private final Housekeeping housekeeping;

  Keeping(HikariDataSource pool, StorageWatch watch, Housekeeping housekeeping) {
    this.pool = pool;
    this.watch = watch;
    this.housekeeping = housekeeping;
  }

  @Override
  public Object intercept(Invocation change) throws Throwable {
    if (!TransactionSynchronizationManager.isActualTransactionActive()) {
      throw new IllegalStateException("a change outside a transaction would not be kept");
    }
    boolean first =
        TransactionSynchronizationManager.getSynchronizations().stream()
            .noneMatch(OntoTheDisk.class::isInstance);
    if (first) {
      watch.requireRoom();
      TransactionSynchronizationManager.registerSynchronization(new OntoTheDisk());
    }
    return change.proceed();
  }

  private final class OntoTheDisk implements TransactionSynchronization {
    @Override
    public void afterCommit() {
      Connection connection = DataSourceUtils.getConnection(pool);
      try {
        DatabaseFile.store(connection).sync();
      } catch (SQLException | MVStoreException refused) {
        watch.failed(refused);
        throw new StorageTrouble(
            StorageTrouble.in(refused).orElse(StorageTrouble.Kind.NOT_WRITABLE));
      } finally {
        DataSourceUtils.releaseConnection(connection, pool);
      }
      watch.kept();
      housekeeping.afterChange();
    }
  }
}
