<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', function (Blueprint $table): void {
            $table->timestampTz('ended_at')->nullable();
            $table->boolean('must_change')->default(false);
            // Secret of the time-based codes, encrypted; and the last step a code was taken for, so that none counts
            // twice.
            $table->text('code_secret')->nullable();
            $table->unsignedBigInteger('code_step')->default(0);
        });
        // What tells a file that broke off from another of the same name and size: checksums of three places in it.
        Schema::table('uploads', function (Blueprint $table): void {
            $table->string('mark', 24)->nullable();
        });
        // What this database is: the demo world or a shop of its own, and which key sealed what is in it.
        Schema::create('settings', function (Blueprint $table): void {
            $table->string('name', 60)->primary();
            $table->text('value');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('settings');
        Schema::table('users', function (Blueprint $table): void {
            $table->dropColumn(['ended_at', 'must_change', 'code_secret', 'code_step']);
        });
    }
};
