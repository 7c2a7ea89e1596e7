<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('recipes', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->json('choices');
            $table->timestamps();
            $table->index(['user_id', 'exam_id']);
        });
        Schema::create('tests', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('recipe_id')->nullable()->constrained()->nullOnDelete();
            $table->string('title');
            $table->string('mode');
            // Milliseconds before extra time; null: no limit.
            $table->unsignedBigInteger('limit_ms')->nullable();
            $table->string('seed');
            $table->unsignedSmallInteger('questions');
            $table->timestamps();
        });
        Schema::create('test_items', function (Blueprint $table): void {
            $table->foreignUlid('test_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('position');
            $table->foreignId('question_id')->constrained();
            $table->foreignId('version_id')->constrained('question_versions');
            $table->string('marks');
            $table->string('penalty')->default('0');
            $table->primary(['test_id', 'position']);
        });
        Schema::create('sittings', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('test_id')->constrained()->cascadeOnDelete();
            $table->string('status')->default('not_started');
            // Exact factor that was in force when it was made.
            $table->string('extra_time')->default('1');
            // The tab that may write. A second tab must take the pen first, and the first is told.
            $table->string('pen')->nullable();
            // Unix milliseconds of the server's clock, here and in all columns that end in _ms.
            $table->unsignedBigInteger('started_ms')->nullable();
            $table->unsignedBigInteger('contact_ms')->nullable();
            $table->unsignedBigInteger('deadline_ms')->nullable();
            $table->unsignedBigInteger('ended_ms')->nullable();
            $table->unsignedBigInteger('active_ms')->default(0);
            $table->boolean('by_clock')->default(false);
            // Totals, settled at hand-in from the outcomes.
            $table->unsignedSmallInteger('questions');
            $table->unsignedSmallInteger('answered')->default(0);
            $table->string('marks')->nullable();
            $table->string('possible')->nullable();
            $table->timestamps();
            $table->index(['user_id', 'exam_id', 'status', 'ended_ms']);
            $table->index(['status', 'deadline_ms']);
        });
        Schema::create('sitting_events', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('sitting_id')->constrained()->cascadeOnDelete();
            $table->string('uid', 64);
            $table->unsignedInteger('seq');
            $table->string('kind');
            $table->unsignedBigInteger('at_ms');
            $table->unsignedBigInteger('made_ms')->nullable();
            $table->unsignedSmallInteger('position')->nullable();
            $table->json('value')->nullable();
            $table->unique(['sitting_id', 'uid']);
        });
        // What came of each question of a sitting: a projection of its events.
        Schema::create('outcomes', function (Blueprint $table): void {
            $table->foreignUlid('sitting_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('position');
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->foreignId('question_id')->constrained()->cascadeOnDelete();
            $table->foreignId('version_id')->constrained('question_versions');
            $table->foreignId('topic_id')->constrained();
            $table->string('outcome');
            // Exact shares and marks, such as 2/3.
            $table->string('credit')->nullable();
            $table->string('marks');
            $table->string('possible');
            $table->boolean('first_look');
            $table->string('sureness')->nullable();
            $table->unsignedInteger('active_ms');
            $table->unsignedBigInteger('settled_ms');
            $table->primary(['sitting_id', 'position']);
            $table->index(['user_id', 'exam_id', 'settled_ms']);
            $table->index(['question_id', 'settled_ms']);
        });
        // One row for each question a candidate has met: the pools are counted here, never in the bank.
        Schema::create('standings', function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('question_id')->constrained()->cascadeOnDelete();
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->foreignId('topic_id')->constrained();
            $table->string('outcome')->nullable();
            $table->boolean('flagged')->default(false);
            $table->unsignedInteger('seen')->default(0);
            $table->unsignedBigInteger('seen_ms')->nullable();
            $table->primary(['user_id', 'question_id']);
            $table->index(['user_id', 'exam_id', 'outcome', 'topic_id']);
        });
    }

    public function down(): void
    {
        foreach (['standings', 'outcomes', 'sitting_events', 'sittings', 'test_items', 'tests', 'recipes'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
