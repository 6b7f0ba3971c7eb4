CREATE TABLE "audit" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"workspace" text NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"who" text NOT NULL,
	"what" text NOT NULL,
	"about" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "guesses" (
	"key" text PRIMARY KEY NOT NULL,
	"points" integer DEFAULT 0 NOT NULL,
	"expire" bigint
);
--> statement-breakpoint
CREATE TABLE "logins" (
	"id" text PRIMARY KEY NOT NULL,
	"account_id" text NOT NULL,
	"provider_id" text NOT NULL,
	"user_id" text NOT NULL,
	"access_token" text,
	"refresh_token" text,
	"id_token" text,
	"access_token_expires_at" timestamp with time zone,
	"refresh_token_expires_at" timestamp with time zone,
	"scope" text,
	"password" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "members" (
	"workspace" text NOT NULL,
	"person" text NOT NULL,
	"role" text NOT NULL,
	"made" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "members_workspace_person_pk" PRIMARY KEY("workspace","person")
);
--> statement-breakpoint
CREATE TABLE "passes" (
	"id" text PRIMARY KEY NOT NULL,
	"workspace" text NOT NULL,
	"kind" text NOT NULL,
	"digest" text NOT NULL,
	"label" text NOT NULL,
	"role" text,
	"build" text,
	"what" text,
	"person" text,
	"made" timestamp with time zone DEFAULT now() NOT NULL,
	"expires" timestamp with time zone,
	"withdrawn" timestamp with time zone,
	"used" timestamp with time zone,
	CONSTRAINT "passes_digest_unique" UNIQUE("digest")
);
--> statement-breakpoint
CREATE TABLE "people" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"email" text NOT NULL,
	"email_verified" boolean DEFAULT false NOT NULL,
	"image" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "people_email_unique" UNIQUE("email")
);
--> statement-breakpoint
CREATE TABLE "sessions" (
	"id" text PRIMARY KEY NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"token" text NOT NULL,
	"ip_address" text,
	"user_agent" text,
	"user_id" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "sessions_token_unique" UNIQUE("token")
);
--> statement-breakpoint
CREATE TABLE "verifications" (
	"id" text PRIMARY KEY NOT NULL,
	"identifier" text NOT NULL,
	"value" text NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "workspaces" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"made" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
DROP INDEX "boards_maker_name";
--> statement-breakpoint
DROP INDEX "past_at";
--> statement-breakpoint
DROP INDEX "photos_about";
--> statement-breakpoint
ALTER TABLE "past" DROP CONSTRAINT "past_kind_id_version_pk";
--> statement-breakpoint
ALTER TABLE "boards" DROP CONSTRAINT "boards_pkey";
--> statement-breakpoint
ALTER TABLE "boards" drop column "maker";
--> statement-breakpoint
ALTER TABLE "boards" ADD COLUMN "maker" text GENERATED ALWAYS AS (coalesce(body->>'maker', '')) STORED NOT NULL;
--> statement-breakpoint
ALTER TABLE "boards" drop column "name";
--> statement-breakpoint
ALTER TABLE "boards" ADD COLUMN "name" text GENERATED ALWAYS AS (coalesce(body->>'name', '')) STORED NOT NULL;
--> statement-breakpoint
ALTER TABLE "boards" drop column "revision";
--> statement-breakpoint
ALTER TABLE "boards" ADD COLUMN "revision" text GENERATED ALWAYS AS (coalesce(body->>'revision', '')) STORED NOT NULL;
--> statement-breakpoint
ALTER TABLE "builds" DROP CONSTRAINT "builds_pkey";
--> statement-breakpoint
ALTER TABLE "builds" drop column "name";
--> statement-breakpoint
ALTER TABLE "builds" ADD COLUMN "name" text GENERATED ALWAYS AS (coalesce(body->>'name', '')) STORED NOT NULL;
--> statement-breakpoint
ALTER TABLE "peripherals" DROP CONSTRAINT "peripherals_pkey";
--> statement-breakpoint
ALTER TABLE "peripherals" drop column "kind";
--> statement-breakpoint
ALTER TABLE "peripherals" ADD COLUMN "kind" text GENERATED ALWAYS AS (coalesce(body->>'kind', '')) STORED NOT NULL;
--> statement-breakpoint
ALTER TABLE "peripherals" drop column "name";
--> statement-breakpoint
ALTER TABLE "peripherals" ADD COLUMN "name" text GENERATED ALWAYS AS (coalesce(body->>'name', '')) STORED NOT NULL;
--> statement-breakpoint
ALTER TABLE "boards" ADD COLUMN "workspace" text DEFAULT coalesce(nullif(current_setting('rung.workspace', true), ''), 'home') NOT NULL;
--> statement-breakpoint
ALTER TABLE "boards" ADD COLUMN "kind" text GENERATED ALWAYS AS (coalesce(body->>'kind', '')) STORED NOT NULL;
--> statement-breakpoint
ALTER TABLE "builds" ADD COLUMN "workspace" text DEFAULT coalesce(nullif(current_setting('rung.workspace', true), ''), 'home') NOT NULL;
--> statement-breakpoint
ALTER TABLE "past" ADD COLUMN "workspace" text DEFAULT coalesce(nullif(current_setting('rung.workspace', true), ''), 'home') NOT NULL;
--> statement-breakpoint
ALTER TABLE "peripherals" ADD COLUMN "workspace" text DEFAULT coalesce(nullif(current_setting('rung.workspace', true), ''), 'home') NOT NULL;
--> statement-breakpoint
ALTER TABLE "photos" ADD COLUMN "workspace" text DEFAULT coalesce(nullif(current_setting('rung.workspace', true), ''), 'home') NOT NULL;
--> statement-breakpoint
ALTER TABLE "boards" ADD CONSTRAINT "boards_workspace_id_pk" PRIMARY KEY("workspace","id");
--> statement-breakpoint
ALTER TABLE "builds" ADD CONSTRAINT "builds_workspace_id_pk" PRIMARY KEY("workspace","id");
--> statement-breakpoint
ALTER TABLE "past" ADD CONSTRAINT "past_workspace_kind_id_version_pk" PRIMARY KEY("workspace","kind","id","version");
--> statement-breakpoint
ALTER TABLE "peripherals" ADD CONSTRAINT "peripherals_workspace_id_pk" PRIMARY KEY("workspace","id");
--> statement-breakpoint
ALTER TABLE "logins" ADD CONSTRAINT "logins_user_id_people_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."people"("id") ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "members" ADD CONSTRAINT "members_workspace_workspaces_id_fk" FOREIGN KEY ("workspace") REFERENCES "public"."workspaces"("id") ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "members" ADD CONSTRAINT "members_person_people_id_fk" FOREIGN KEY ("person") REFERENCES "public"."people"("id") ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "passes" ADD CONSTRAINT "passes_workspace_workspaces_id_fk" FOREIGN KEY ("workspace") REFERENCES "public"."workspaces"("id") ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "sessions" ADD CONSTRAINT "sessions_user_id_people_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."people"("id") ON DELETE cascade ON UPDATE no action;
--> statement-breakpoint
CREATE INDEX "audit_workspace_at" ON "audit" USING btree ("workspace","at");
--> statement-breakpoint
CREATE INDEX "passes_workspace" ON "passes" USING btree ("workspace");
--> statement-breakpoint
CREATE INDEX "boards_maker_name" ON "boards" USING btree ("workspace","maker","name","revision");
--> statement-breakpoint
CREATE INDEX "past_at" ON "past" USING btree ("workspace","at");
--> statement-breakpoint
CREATE INDEX "photos_about" ON "photos" USING btree ("workspace","about");
--> statement-breakpoint
INSERT INTO "workspaces" (id, name) VALUES ('home', 'Home');
--> statement-breakpoint
CREATE OR REPLACE FUNCTION keep_past() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
	is_gone boolean := TG_OP = 'DELETE';
BEGIN
	IF NOT is_gone AND (OLD.body = NEW.body OR EXISTS (
		SELECT 1 FROM past
		WHERE workspace = OLD.workspace AND kind = TG_ARGV[0] AND id = OLD.id AND NOT removed AND at > now() - interval '10 minutes'
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
--> statement-breakpoint
CREATE OR REPLACE FUNCTION go_on_counting() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
	NEW.version := GREATEST(NEW.version, COALESCE((SELECT max(version) + 1 FROM past WHERE workspace = NEW.workspace AND kind = TG_ARGV[0] AND id = NEW.id), 1));
	RETURN NEW;
END $$;
--> statement-breakpoint
ALTER TABLE "boards" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY "own_workspace" ON "boards" USING (workspace = current_setting('rung.workspace', true)) WITH CHECK (workspace = current_setting('rung.workspace', true));
--> statement-breakpoint
ALTER TABLE "peripherals" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY "own_workspace" ON "peripherals" USING (workspace = current_setting('rung.workspace', true)) WITH CHECK (workspace = current_setting('rung.workspace', true));
--> statement-breakpoint
ALTER TABLE "builds" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY "own_workspace" ON "builds" USING (workspace = current_setting('rung.workspace', true)) WITH CHECK (workspace = current_setting('rung.workspace', true));
--> statement-breakpoint
ALTER TABLE "photos" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY "own_workspace" ON "photos" USING (workspace = current_setting('rung.workspace', true)) WITH CHECK (workspace = current_setting('rung.workspace', true));
--> statement-breakpoint
ALTER TABLE "past" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY "own_workspace" ON "past" USING (workspace = current_setting('rung.workspace', true)) WITH CHECK (workspace = current_setting('rung.workspace', true));
--> statement-breakpoint
ALTER TABLE "members" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY "own_workspace" ON "members" USING (workspace = current_setting('rung.workspace', true)) WITH CHECK (workspace = current_setting('rung.workspace', true));
--> statement-breakpoint
ALTER TABLE "passes" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY "own_workspace" ON "passes" USING (workspace = current_setting('rung.workspace', true)) WITH CHECK (workspace = current_setting('rung.workspace', true));
--> statement-breakpoint
ALTER TABLE "audit" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY "own_workspace" ON "audit" USING (workspace = current_setting('rung.workspace', true)) WITH CHECK (workspace = current_setting('rung.workspace', true));
--> statement-breakpoint
ALTER TABLE "workspaces" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY "own_workspace" ON "workspaces" USING (id = current_setting('rung.workspace', true)) WITH CHECK (id = current_setting('rung.workspace', true));
--> statement-breakpoint
-- Before it is known whose workspace is meant there are two questions to ask, and no others: where a person may go, and what one secret opens.
CREATE FUNCTION workspaces_of(asked text) RETURNS TABLE (workspace text, name text, role text)
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS $$
	SELECT w.id, w.name, m.role FROM members m JOIN workspaces w ON w.id = m.workspace WHERE m.person = asked ORDER BY w.name, w.id
$$;
--> statement-breakpoint
CREATE FUNCTION pass_of(asked text) RETURNS SETOF passes
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS $$
	SELECT * FROM passes WHERE digest = asked AND withdrawn IS NULL AND used IS NULL AND (expires IS NULL OR expires > now())
$$;
--> statement-breakpoint
REVOKE ALL ON FUNCTION workspaces_of(text), pass_of(text) FROM PUBLIC;
