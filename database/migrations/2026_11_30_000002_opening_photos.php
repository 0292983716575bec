<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How a model looks inside: photos beside its opening guide. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('opening_photos', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained();
            $table->string('model', 80)->index();
            $table->string('photo', 60);
            $table->string('words', 120);
            $table->timestampTz('created_at');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('opening_photos');
    }
};
