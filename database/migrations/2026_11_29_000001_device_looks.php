<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Each look at the devices of a machine after a package was installed: what has a driver, and what has none. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('device_looks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('job_id')->constrained();
            $table->foreignId('user_id')->constrained();
            $table->string('source', 200);
            $table->jsonb('devices');
            $table->timestampTz('created_at');
            $table->index(['job_id', 'id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('device_looks');
    }
};
