<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('folder_watches', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('deliverable_id')->unique()->constrained()->cascadeOnDelete();
            $table->foreignId('intake_root_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->text('folder');
            $table->text('looks');
            // when something was last seen to change
            $table->timestamp('moved_at')->nullable();
            $table->timestamp('looked_at')->nullable();
            $table->string('ended', 200)->nullable();
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('folder_watches');
    }
};
