<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('catalogue_entries', function (Blueprint $table) {
            $table->id();
            $table->string('kind', 20);
            $table->string('slug', 80);
            $table->string('name', 200);
            $table->json('document');
            $table->timestamps();
            $table->unique(['kind', 'slug']);
        });
        // Each change of policy is a row of its own; the latest one holds.
        Schema::create('policies', function (Blueprint $table) {
            $table->id();
            $table->json('schools');
            $table->foreignId('user_id')->nullable()->constrained();
            $table->timestampTz('created_at');
        });
    }
};
