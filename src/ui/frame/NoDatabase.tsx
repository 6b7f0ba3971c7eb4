import { Trouble } from './Trouble';

export function NoDatabase() {
  return (
    <Trouble title="The database does not answer">
      Rung is running, but it cannot reach its database, so it has nothing to show. What you typed and had not saved is
      kept in this browser. When the database is back, load this page again.
    </Trouble>
  );
}
