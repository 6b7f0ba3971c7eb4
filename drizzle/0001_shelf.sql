CREATE TABLE "photos" (
	"id" text PRIMARY KEY NOT NULL,
	"about" text NOT NULL,
	"mime" text NOT NULL,
	"body" "bytea" NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "boards" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
CREATE INDEX "photos_about" ON "photos" USING btree ("about");