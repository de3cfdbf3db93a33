CREATE TABLE "stock" (
	"id" text PRIMARY KEY NOT NULL,
	"holding" text NOT NULL,
	"kind" text NOT NULL,
	"search" text NOT NULL,
	"doc" jsonb NOT NULL,
	"created_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE INDEX "stock_kind" ON "stock" USING btree ("kind","holding");--> statement-breakpoint
CREATE INDEX "stock_created" ON "stock" USING btree ("created_at","id");--> statement-breakpoint
INSERT INTO "stock" ("id", "holding", "kind", "search", "doc", "created_at")
SELECT "id", 'stash', "doc"->>'kind', lower("doc"->>'name'), jsonb_build_object('part', "doc", 'holding', 'stash', 'quantity', 1, 'reserved', '{}'::jsonb), "created_at" FROM "stash_parts";
