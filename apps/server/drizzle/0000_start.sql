CREATE TABLE "builds" (
	"id" text PRIMARY KEY NOT NULL,
	"revision" integer NOT NULL,
	"doc" jsonb NOT NULL,
	"undo" jsonb NOT NULL,
	"redo" jsonb NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	"updated_at" timestamp with time zone NOT NULL,
	"put_away_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "events" (
	"build_id" text NOT NULL,
	"revision" integer NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"kind" text NOT NULL,
	"label" text NOT NULL,
	"edits" jsonb NOT NULL,
	CONSTRAINT "events_build_id_revision_pk" PRIMARY KEY("build_id","revision")
);
--> statement-breakpoint
CREATE TABLE "log_entries" (
	"id" text PRIMARY KEY NOT NULL,
	"build_id" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"kind" text NOT NULL,
	"text" text NOT NULL,
	"station" text,
	"thing" text,
	"struck_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "stash_parts" (
	"id" text PRIMARY KEY NOT NULL,
	"doc" jsonb NOT NULL,
	"created_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "events" ADD CONSTRAINT "events_build_id_builds_id_fk" FOREIGN KEY ("build_id") REFERENCES "public"."builds"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "log_entries" ADD CONSTRAINT "log_entries_build_id_builds_id_fk" FOREIGN KEY ("build_id") REFERENCES "public"."builds"("id") ON DELETE no action ON UPDATE no action;