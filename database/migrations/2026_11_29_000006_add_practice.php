<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('practice_exercises', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('production_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('title', 120);
            // what goes wrong in it: for those who decide alone
            $table->json('mistakes');
            $table->timestamps();
            $table->index('production_id');
            $table->index('user_id');
        });
        // what somebody was given to practise on, and what they said of it
        Schema::create('practice_tries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('practice_exercise_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('word', 80);
            $table->json('answer')->nullable();
            $table->json('marks')->nullable();
            $table->timestamp('marked_at')->nullable();
            $table->timestamps();
            $table->index(['practice_exercise_id', 'user_id']);
            $table->index('user_id');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('practice_tries');
        Schema::dropIfExists('practice_exercises');
    }
};
