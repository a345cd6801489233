<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('users', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 120);
            $table->string('email', 190)->unique();
            $table->string('password');
            // stands for {learner} in names and intake folders
            $table->string('handle', 60)->unique();
            $table->rememberToken();
            $table->timestamps();
        });
        Schema::create('productions', function (Blueprint $table): void {
            $table->id();
            $table->string('code', 40)->unique();
            $table->string('name', 160);
            $table->string('kind', 20);
            $table->json('house');
            $table->timestamps();
        });
        Schema::create('memberships', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('production_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('role', 20);
            $table->timestamps();
            $table->unique(['production_id', 'user_id']);
        });
        Schema::create('intake_roots', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('production_id')->constrained()->cascadeOnDelete();
            $table->string('label', 80);
            // below the intake folder; may hold {learner} and {shot}
            $table->string('path', 400);
            $table->timestamps();
        });
        Schema::create('specifications', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('production_id')->constrained()->cascadeOnDelete();
            $table->string('title', 160);
            $table->timestamps();
        });
        Schema::create('specification_revisions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('specification_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->json('data');
            // once a check has used it, it never changes again
            $table->timestamp('used_at')->nullable();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->timestamps();
            $table->unique(['specification_id', 'number']);
        });
        Schema::create('deliverables', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('production_id')->constrained()->cascadeOnDelete();
            $table->foreignId('specification_id')->constrained()->restrictOnDelete();
            $table->foreignId('owner_id')->nullable()->constrained('users')->nullOnDelete();
            $table->string('code', 80);
            $table->string('title', 160);
            $table->timestamp('due_at')->nullable();
            $table->json('values');
            $table->json('overrides');
            $table->timestamps();
            $table->unique(['production_id', 'code']);
        });
        Schema::create('parts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('deliverable_id')->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->string('delivers', 10);
            $table->foreignId('made_from_id')->nullable()->constrained('parts')->nullOnDelete();
            $table->timestamps();
            $table->unique(['deliverable_id', 'name']);
        });
        Schema::create('scenes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('deliverable_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('file_name', 255);
            $table->longText('content');
            $table->timestamps();
        });
        Schema::create('deliveries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('deliverable_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('intake_root_id')->nullable()->constrained()->nullOnDelete();
            $table->string('folder', 1000);
            $table->string('depth', 10);
            $table->unsignedBigInteger('file_count');
            $table->unsignedBigInteger('total_size');
            $table->timestamp('scanned_at');
            $table->binary('data');
            $table->timestamps();
        });
        Schema::create('checks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('deliverable_id')->constrained()->cascadeOnDelete();
            $table->foreignId('specification_revision_id')->constrained()->restrictOnDelete();
            $table->foreignId('scene_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('delivery_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('state', 10);
            $table->string('verdict', 12)->nullable();
            $table->string('holds_up', 200)->nullable();
            // the layers it was resolved from, each value with who set it
            $table->json('layers');
            $table->json('order')->nullable();
            $table->json('progress')->nullable();
            $table->binary('document')->nullable();
            $table->text('fault')->nullable();
            $table->timestamps();
            $table->index(['deliverable_id', 'state', 'id']);
        });
    }

    public function down(): void
    {
        foreach ([
            'checks', 'deliveries', 'scenes', 'parts', 'deliverables', 'specification_revisions', 'specifications',
            'intake_roots', 'memberships', 'productions', 'users',
        ] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
