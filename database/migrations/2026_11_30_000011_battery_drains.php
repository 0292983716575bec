<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What the machine of a job took out of its battery at one power limit. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('battery_drains', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->double('limit_w');
            $table->double('watt_hours');
            $table->double('minutes');
            $table->timestampsTz();
            $table->index(['job_id', 'id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('battery_drains');
    }
};
