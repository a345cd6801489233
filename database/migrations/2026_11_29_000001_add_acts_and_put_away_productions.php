<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('productions', function (Blueprint $table): void {
            $table->timestamp('archived_at')->nullable();
            $table->softDeletes();
            $table->string('time_zone', 60)->nullable();
            $table->boolean('is_sample')->default(false);
            // how long checks are kept: the newest of each deliverable, and all of some days
            $table->json('retention')->nullable();
        });
        Schema::table('specifications', function (Blueprint $table): void {
            $table->timestamp('retired_at')->nullable();
        });
        // who changed what; nothing is ever written over in it
        Schema::create('acts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('production_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            // their name by then: it stands here also when they are gone
            $table->string('who', 120);
            $table->string('about', 20);
            $table->string('what', 1000);
            $table->timestamp('created_at');
            $table->index(['production_id', 'id']);
            $table->index('user_id');
        });
        // how somebody likes to see what is owed
        Schema::create('saved_views', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('production_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 60);
            $table->json('state');
            $table->timestamps();
            $table->unique(['production_id', 'user_id', 'name']);
            $table->index('user_id');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('saved_views');
        Schema::dropIfExists('acts');
        Schema::table('specifications', fn (Blueprint $table) => $table->dropColumn('retired_at'));
        Schema::table(
            'productions',
            fn (Blueprint $table) => $table->dropColumn([
                'archived_at', 'deleted_at', 'time_zone', 'is_sample', 'retention',
            ]),
        );
    }
};
