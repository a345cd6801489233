<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('file_moves', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('deliverable_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('intake_root_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->text('folder');
            // by which the folder's own journal knows it
            $table->string('work', 64);
            $table->unsignedInteger('files');
            $table->timestamp('undone_at')->nullable();
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('file_moves');
    }
};
