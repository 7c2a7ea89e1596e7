<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('exams', function (Blueprint $table): void {
            $table->id();
            $table->string('slug')->unique();
            $table->string('name');
            $table->text('summary');
            // Sections, duration, cut, scale: App\Question\ExamRules.
            $table->json('rules');
            $table->unsignedSmallInteger('position')->default(0);
            $table->timestamps();
        });
        Schema::create('topics', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->foreignId('parent_id')->nullable()->constrained('topics')->cascadeOnDelete();
            $table->string('code');
            $table->string('name');
            // Exact percentage of the exam; subtopics have none of their own.
            $table->string('weight')->nullable();
            $table->unsignedSmallInteger('position');
            $table->unique(['exam_id', 'code']);
        });
        Schema::create('units', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->string('code');
            $table->string('kind');
            $table->unique(['exam_id', 'code']);
        });
        Schema::create('unit_versions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('unit_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->json('shown');
            $table->timestamp('created_at');
            $table->unique(['unit_id', 'number']);
        });
        Schema::create('questions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->foreignId('topic_id')->constrained()->cascadeOnDelete();
            $table->foreignId('unit_id')->nullable()->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('unit_place')->default(0);
            $table->string('code');
            $table->string('kind');
            $table->string('difficulty');
            $table->unsignedBigInteger('version_id')->nullable();
            $table->timestamp('retired_at')->nullable();
            $table->timestamps();
            $table->unique(['exam_id', 'code']);
            // Counting a topic's live questions reads this index only.
            $table->index(['exam_id', 'retired_at', 'topic_id', 'kind', 'id'], 'questions_by_topic');
        });
        Schema::create('question_versions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('question_id')->constrained()->cascadeOnDelete();
            $table->foreignId('unit_version_id')->nullable()->constrained();
            $table->unsignedInteger('number');
            $table->string('marks')->default('1');
            // What a candidate may see while sitting …
            $table->json('shown');
            // … and what they may not: keys, rationales, evidence. Apart, so that no sitting can select it by accident.
            $table->json('answer');
            $table->timestamp('created_at');
            $table->unique(['question_id', 'number']);
        });
        Schema::create('question_tags', function (Blueprint $table): void {
            $table->foreignId('question_id')->constrained()->cascadeOnDelete();
            $table->string('family');
            $table->string('value');
            $table->primary(['question_id', 'family', 'value']);
            $table->index(['family', 'value', 'question_id']);
        });
    }

    public function down(): void
    {
        foreach (['question_tags', 'question_versions', 'questions', 'unit_versions', 'units', 'topics', 'exams'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
