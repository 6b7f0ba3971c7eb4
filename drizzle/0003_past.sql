CREATE TABLE "past" (
	"kind" text NOT NULL,
	"id" text NOT NULL,
	"version" integer NOT NULL,
	"body" jsonb NOT NULL,
	"removed" boolean NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "past_kind_id_version_pk" PRIMARY KEY("kind","id","version")
);
--> statement-breakpoint
ALTER TABLE "peripherals" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
CREATE INDEX "past_at" ON "past" USING btree ("at");--> statement-breakpoint
-- What stood there before a change is kept, once a sitting of ten minutes; what is removed is kept always.
CREATE FUNCTION keep_past() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
	is_gone boolean := TG_OP = 'DELETE';
BEGIN
	IF NOT is_gone AND (OLD.body = NEW.body OR EXISTS (
		SELECT 1 FROM past
		WHERE kind = TG_ARGV[0] AND id = OLD.id AND NOT removed AND at > now() - interval '10 minutes'
	)) THEN
		RETURN NEW;
	END IF;
	INSERT INTO past (kind, id, version, body, removed)
	VALUES (TG_ARGV[0], OLD.id, OLD.version, OLD.body, is_gone)
	ON CONFLICT (kind, id, version) DO UPDATE SET body = excluded.body, removed = excluded.removed, at = now();
	IF is_gone THEN
		-- Nothing is kept for ever: what was removed, with all that it had been, goes after 30 days.
		DELETE FROM past WHERE (kind, id) IN (
			SELECT kind, id FROM past WHERE removed AND at < now() - interval '30 days'
		) AND at < now() - interval '30 days';
		RETURN OLD;
	END IF;
	RETURN NEW;
END $$;
--> statement-breakpoint
-- Versions never restart: what comes again under an id goes on counting where the last of that id ended.
CREATE FUNCTION go_on_counting() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
	NEW.version := GREATEST(NEW.version, COALESCE((SELECT max(version) + 1 FROM past WHERE kind = TG_ARGV[0] AND id = NEW.id), 1));
	RETURN NEW;
END $$;
--> statement-breakpoint
CREATE TRIGGER builds_past BEFORE UPDATE OR DELETE ON "builds" FOR EACH ROW EXECUTE FUNCTION keep_past('build');--> statement-breakpoint
CREATE TRIGGER boards_past BEFORE UPDATE OR DELETE ON "boards" FOR EACH ROW EXECUTE FUNCTION keep_past('board');--> statement-breakpoint
CREATE TRIGGER peripherals_past BEFORE UPDATE OR DELETE ON "peripherals" FOR EACH ROW EXECUTE FUNCTION keep_past('part');--> statement-breakpoint
CREATE TRIGGER builds_count BEFORE INSERT ON "builds" FOR EACH ROW EXECUTE FUNCTION go_on_counting('build');--> statement-breakpoint
CREATE TRIGGER boards_count BEFORE INSERT ON "boards" FOR EACH ROW EXECUTE FUNCTION go_on_counting('board');--> statement-breakpoint
CREATE TRIGGER peripherals_count BEFORE INSERT ON "peripherals" FOR EACH ROW EXECUTE FUNCTION go_on_counting('part');
