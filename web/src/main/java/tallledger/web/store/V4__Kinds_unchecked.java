package tallledger.web.store;

import java.sql.ResultSet;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import org.springframework.stereotype.Component;

/**
 * Takes the checks "kind in (…)" and "type in (…)" out of the tables. H2 keeps such a set bound to the connection that made it; once
 * the pool has retired that connection every insert fails until a restart. What may be written is decided by {@link BookRow.Kind}
 * and by the photograph's decoder, which are the only writers. The checks have names of H2's own, so they are looked up.
 */
@Component
class V4__Kinds_unchecked extends BaseJavaMigration {

    @Override
    public void migrate(Context context) throws Exception {
        List<String> drops = new ArrayList<>();
        try (Statement look = context.getConnection().createStatement();
                ResultSet checks = look.executeQuery("select table_name, constraint_name from information_schema.table_constraints"
                        + " where constraint_type = 'CHECK' and table_schema = 'PUBLIC' and table_name in ('BOOK', 'PHOTO')")) {
            while (checks.next()) {
                drops.add("alter table " + checks.getString(1) + " drop constraint \"" + checks.getString(2) + "\"");
            }
        }
        try (Statement change = context.getConnection().createStatement()) {
            for (String drop : drops) {
                change.execute(drop);
            }
        }
    }
}
