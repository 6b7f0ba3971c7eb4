CREATE TABLE "rankings" (
	"workspace" text DEFAULT coalesce(nullif(current_setting('rung.workspace', true), ''), 'home') NOT NULL,
	"key" text NOT NULL,
	"build" text NOT NULL,
	"state" text DEFAULT 'waiting' NOT NULL,
	"done" integer DEFAULT 0 NOT NULL,
	"total" integer DEFAULT 0 NOT NULL,
	"rows" jsonb,
	"waited" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "rankings_workspace_key_pk" PRIMARY KEY("workspace","key")
);
--> statement-breakpoint
ALTER TABLE "rankings" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE POLICY "own_workspace" ON "rankings" USING (workspace = current_setting('rung.workspace', true)) WITH CHECK (workspace = current_setting('rung.workspace', true));
