-- A clock that was ahead and was put right leaves rows of the future: they are of no sitting of now, and must not keep what is changed from being kept.
CREATE OR REPLACE FUNCTION keep_past() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
	is_gone boolean := TG_OP = 'DELETE';
BEGIN
	IF NOT is_gone AND (OLD.body = NEW.body OR EXISTS (
		SELECT 1 FROM past
		WHERE workspace = OLD.workspace AND kind = TG_ARGV[0] AND id = OLD.id AND NOT removed AND at BETWEEN now() - interval '10 minutes' AND now()
	)) THEN
		RETURN NEW;
	END IF;
	INSERT INTO past (workspace, kind, id, version, body, removed)
	VALUES (OLD.workspace, TG_ARGV[0], OLD.id, OLD.version, OLD.body, is_gone)
	ON CONFLICT (workspace, kind, id, version) DO UPDATE SET body = excluded.body, removed = excluded.removed, at = now();
	IF is_gone THEN
		-- Nothing is kept for ever: what was removed, with all that it had been, goes after 30 days.
		DELETE FROM past WHERE workspace = OLD.workspace AND (kind, id) IN (
			SELECT kind, id FROM past WHERE workspace = OLD.workspace AND removed AND at < now() - interval '30 days'
		) AND at < now() - interval '30 days';
		RETURN OLD;
	END IF;
	RETURN NEW;
END $$;
