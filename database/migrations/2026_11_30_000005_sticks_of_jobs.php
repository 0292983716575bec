<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Which job a stick is built for, and which open job has which stick in hand. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('stick_builds', function (Blueprint $table): void {
            $table->foreignId('job_id')->nullable()->constrained();
        });
        DB::unprepared(<<<'SQL'
            create index jobs_stick_in_hand on jobs ((summary->'stick'->>'id'), id)
                where status = 'open' and summary->'stick'->>'id' is not null
            SQL);
    }

    public function down(): void
    {
        DB::unprepared('drop index if exists jobs_stick_in_hand');
        Schema::table('stick_builds', fn (Blueprint $table) => $table->dropColumn('job_id'));
    }
};
