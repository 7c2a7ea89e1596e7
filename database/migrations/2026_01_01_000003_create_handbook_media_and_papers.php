<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('handbook_sections', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->string('code');
            $table->string('chapter');
            $table->string('title');
            $table->text('body');
            // The same as steps, each with a title, a body and what is said aloud; null: it is a page only.
            $table->json('lesson')->nullable();
            $table->unsignedSmallInteger('position');
            $table->unique(['exam_id', 'code']);
            $table->index(['exam_id', 'position']);
        });
        Schema::create('reference_tables', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->string('code');
            $table->string('title');
            $table->text('body');
            $table->unsignedSmallInteger('position');
            $table->unique(['exam_id', 'code']);
        });
        // Files are named by their contents, so a version keeps the picture it was written with.
        Schema::create('media', function (Blueprint $table): void {
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->unsignedInteger('bytes');
            $table->primary(['exam_id', 'name']);
            $table->index('name');
        });
        Schema::create('papers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->string('code');
            $table->string('title');
            $table->unique(['exam_id', 'code']);
        });
        Schema::create('paper_items', function (Blueprint $table): void {
            $table->foreignId('paper_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('position');
            $table->string('section');
            $table->foreignId('question_id')->index()->constrained()->cascadeOnDelete();
            $table->primary(['paper_id', 'position']);
        });
        // Fixed tests in an author's order, by chapter or month.
        Schema::create('series', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->string('code');
            $table->string('title');
            $table->text('about');
            $table->unsignedSmallInteger('position');
            $table->unique(['exam_id', 'code']);
        });
        Schema::create('series_tests', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('series_id')->constrained('series')->cascadeOnDelete();
            $table->string('code');
            $table->string('title');
            $table->unsignedSmallInteger('position');
            $table->string('mode');
            $table->unsignedSmallInteger('minutes')->nullable();
            // How often each candidate may sit it; null: as often as they like.
            $table->unsignedSmallInteger('attempts')->nullable();
            $table->unique(['series_id', 'code']);
        });
        Schema::create('series_items', function (Blueprint $table): void {
            $table->foreignId('series_test_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('position');
            $table->foreignId('question_id')->index()->constrained()->cascadeOnDelete();
            $table->primary(['series_test_id', 'position']);
        });
    }

    public function down(): void
    {
        foreach (['series_items', 'series_tests', 'series', 'paper_items', 'papers', 'media', 'reference_tables', 'handbook_sections'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
