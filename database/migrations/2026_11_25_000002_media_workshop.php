<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Files on the shelf: what is in the watched folder, what was found inside, and whose checksum it has.
        Schema::create('shelf_files', function (Blueprint $table) {
            $table->id();
            $table->string('name', 255)->unique();
            $table->unsignedBigInteger('bytes');
            $table->unsignedBigInteger('changed_at');
            $table->boolean('here')->default(true);
            $table->json('report')->nullable();
            $table->string('sha256', 64)->nullable();
            // waiting, running, done, stopped or failed
            $table->string('hash_state', 10)->default('waiting');
            $table->unsignedBigInteger('hashed_bytes')->default(0);
            $table->timestampTz('hash_began_at')->nullable();
            $table->string('published_sha256', 64)->nullable();
            $table->string('published_by', 200)->nullable();
            $table->string('slug', 80)->nullable();
            // line, version, edition, language, architecture, channel, source, as_of
            $table->json('about');
            $table->timestampsTz();
        });
        Schema::create('uploads', function (Blueprint $table) {
            $table->uuid('id')->primary();
            $table->string('name', 255);
            $table->unsignedBigInteger('bytes');
            $table->unsignedBigInteger('received')->default(0);
            $table->foreignId('user_id')->constrained();
            $table->timestampsTz();
        });
        // What a stick of the register is worth now, and what was last proven on it.
        Schema::create('stick_states', function (Blueprint $table) {
            $table->string('slug', 80)->primary();
            $table->string('condition', 12);
            $table->json('content')->nullable();
            $table->timestampsTz();
        });
        Schema::create('stick_builds', function (Blueprint $table) {
            $table->id();
            $table->string('slug', 80);
            $table->foreignId('shelf_file_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('user_id')->nullable()->constrained();
            // queued, running, done, failed or cancelled
            $table->string('state', 10)->default('queued');
            $table->json('plan');
            $table->string('drivers', 80)->nullable();
            $table->string('stage', 120)->default('Waiting for its turn');
            $table->unsignedBigInteger('done_bytes')->default(0);
            $table->unsignedBigInteger('stage_bytes')->default(0);
            $table->timestampTz('stage_began_at')->nullable();
            $table->boolean('cancel')->default(false);
            $table->text('fault')->nullable();
            $table->json('result')->nullable();
            $table->timestampTz('began_at')->nullable();
            $table->timestampTz('ended_at')->nullable();
            $table->timestampsTz();
        });
        Schema::create('stick_events', function (Blueprint $table) {
            $table->id();
            $table->string('slug', 80)->index();
            // built, failed, cancelled, checked, retired, taken-back or booted-badly
            $table->string('kind', 14);
            $table->json('data');
            $table->foreignId('user_id')->nullable()->constrained();
            $table->timestampTz('created_at');
        });
        // One build at a time on a stick; its history only grows.
        DB::unprepared(<<<'SQL'
            create unique index one_build_per_stick on stick_builds (slug) where state in ('queued', 'running');
            create trigger stick_history_only_grows
                before update or delete on stick_events for each row execute function refuse_change();
            SQL);
    }

    public function down(): void
    {
        foreach (['stick_events', 'stick_builds', 'stick_states', 'uploads', 'shelf_files'] as $table) {
            Schema::drop($table);
        }
    }
};
