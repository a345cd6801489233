<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // how what is handed in of a specification is judged; in a course each has one, be it the usual
        Schema::create('assignments', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('specification_id')->unique()->constrained()->cascadeOnDelete();
            $table->timestamp('due_at')->nullable();
            $table->json('rules');
            // who marks does not see whose it is, until points are told
            $table->boolean('anonymous')->default(false);
            $table->timestamp('released_at')->nullable();
            $table->timestamps();
        });
        // what one deliverable was granted beyond the rules
        Schema::create('extensions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('deliverable_id')->unique()->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->timestamp('due_at')->nullable();
            $table->unsignedInteger('attempts')->default(0);
            $table->string('why', 400)->default('');
            $table->timestamps();
            $table->index('user_id');
        });
        Schema::create('team_members', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('deliverable_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->timestamps();
            $table->unique(['deliverable_id', 'user_id']);
            $table->index('user_id');
        });
        Schema::create('hand_ins', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('deliverable_id')->constrained()->cascadeOnDelete();
            $table->foreignId('check_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->unsignedInteger('number');
            $table->timestamp('handed_at');
            // by which it is late or not: of one that was returned, when that was handed in
            $table->timestamp('counted_at');
            $table->string('verdict', 12);
            $table->json('lines');
            $table->json('causes');
            // what its files can be known by again
            $table->longText('print')->nullable();
            $table->timestamp('returned_at')->nullable();
            $table->string('returned_why', 1000)->nullable();
            $table->string('agreed', 12)->nullable();
            $table->foreignId('agreed_by_id')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamps();
            $table->unique(['deliverable_id', 'number']);
            $table->unique(['deliverable_id', 'check_id']);
            $table->index('check_id');
            $table->index('user_id');
            $table->index('agreed_by_id');
        });
        // what one who marks has to say of it
        Schema::create('hand_in_marks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('hand_in_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('points', 12)->nullable();
            $table->text('remark');
            $table->timestamps();
            $table->unique(['hand_in_id', 'user_id']);
            $table->index('user_id');
        });
        Schema::table('memberships', function (Blueprint $table): void {
            // what somebody is called in another system
            $table->string('number', 120)->nullable();
            $table->unique(['production_id', 'number']);
        });
        Schema::table('invitations', function (Blueprint $table): void {
            $table->string('number', 120)->nullable();
        });
        Schema::table('productions', function (Blueprint $table): void {
            // which columns of a gradebook are whose, and what is said of causes in its own words
            $table->json('gradebook')->nullable();
            $table->json('phrases')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('productions', function (Blueprint $table): void {
            $table->dropColumn(['gradebook', 'phrases']);
        });
        Schema::table('invitations', function (Blueprint $table): void {
            $table->dropColumn('number');
        });
        Schema::table('memberships', function (Blueprint $table): void {
            $table->dropUnique(['production_id', 'number']);
            $table->dropColumn('number');
        });
        foreach (['hand_in_marks', 'hand_ins', 'team_members', 'extensions', 'assignments'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
