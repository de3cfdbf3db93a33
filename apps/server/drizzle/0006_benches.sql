CREATE TABLE "links" (
	"token" text PRIMARY KEY NOT NULL,
	"build_id" text NOT NULL,
	"created_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "sessions" (
	"token" text PRIMARY KEY NOT NULL,
	"bench_id" text NOT NULL,
	"until" timestamp with time zone NOT NULL
);
--> statement-breakpoint
DROP INDEX "stock_kind";--> statement-breakpoint
DROP INDEX "stock_created";--> statement-breakpoint
ALTER TABLE "benches" ALTER COLUMN "doc" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "benches" ADD COLUMN "name" text;--> statement-breakpoint
UPDATE "benches" SET "name" = "id";--> statement-breakpoint
INSERT INTO "benches" ("id", "name", "updated_at") VALUES ('own', 'own', now()) ON CONFLICT DO NOTHING;--> statement-breakpoint
ALTER TABLE "benches" ALTER COLUMN "name" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "benches" ADD COLUMN "phrase" text;--> statement-breakpoint
ALTER TABLE "benches" ADD COLUMN "wrong" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "benches" ADD COLUMN "wrong_since" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "builds" ADD COLUMN "bench_id" text DEFAULT 'own' NOT NULL;--> statement-breakpoint
ALTER TABLE "stock" ADD COLUMN "bench_id" text DEFAULT 'own' NOT NULL;--> statement-breakpoint
ALTER TABLE "links" ADD CONSTRAINT "links_build_id_builds_id_fk" FOREIGN KEY ("build_id") REFERENCES "public"."builds"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sessions" ADD CONSTRAINT "sessions_bench_id_benches_id_fk" FOREIGN KEY ("bench_id") REFERENCES "public"."benches"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "links_build" ON "links" USING btree ("build_id");--> statement-breakpoint
CREATE INDEX "sessions_bench" ON "sessions" USING btree ("bench_id","until");--> statement-breakpoint
ALTER TABLE "builds" ADD CONSTRAINT "builds_bench_id_benches_id_fk" FOREIGN KEY ("bench_id") REFERENCES "public"."benches"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock" ADD CONSTRAINT "stock_bench_id_benches_id_fk" FOREIGN KEY ("bench_id") REFERENCES "public"."benches"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "builds_bench" ON "builds" USING btree ("bench_id","created_at");--> statement-breakpoint
CREATE INDEX "stock_kind" ON "stock" USING btree ("bench_id","kind","holding");--> statement-breakpoint
CREATE INDEX "stock_created" ON "stock" USING btree ("bench_id","created_at","id");--> statement-breakpoint
ALTER TABLE "benches" ADD CONSTRAINT "benches_name_unique" UNIQUE("name");