<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        $this->createTests();
        $this->createSittings();
        $this->createOutcomes();
    }

    private function createTests(): void
    {
        Schema::create('recipes', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('exam_id')->index()->constrained()->cascadeOnDelete();
            // Null: not kept under a name.
            $table->string('name')->nullable();
            // Of the shape of the choices: Uplandia\Core\Assembly\Recipe.
            $table->unsignedSmallInteger('version');
            $table->json('choices');
            $table->timestamps();
            $table->index(['user_id', 'exam_id', 'name']);
        });
        Schema::create('tests', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            // Null: a fixed paper, which is everybody's, or a test whose maker has left while others sit it.
            $table->foreignId('user_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->foreignId('exam_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignUlid('recipe_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->foreignId('paper_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->foreignId('series_test_id')->nullable()->index()->constrained()->nullOnDelete();
            // Sat under the exam's own rules: a paper or a rehearsal; of one section only, or whole.
            $table->boolean('of_exam')->default(false);
            $table->string('section')->nullable();
            // Why each topic is in it, where it was made of weak spots: App\Progress\ReasonView.
            $table->json('reasons')->nullable();
            $table->string('title');
            $table->string('mode');
            // Before anybody's extra time; null: none, or as the exam's rules say.
            $table->unsignedSmallInteger('minutes')->nullable();
            // The same for each question; then there is no limit for the whole.
            $table->unsignedSmallInteger('seconds_each')->nullable();
            $table->boolean('shuffled')->default(true);
            $table->boolean('running_score')->default(false);
            $table->boolean('asks_sureness')->default(true);
            $table->string('seed');
            // Of an adaptive test, so many have been asked by now, and at most `adaptive` will be; null: a fixed list.
            $table->unsignedSmallInteger('questions');
            $table->unsignedSmallInteger('adaptive')->nullable();
            $table->timestamps();
            $table->index(['exam_id', 'adaptive']);
        });
        Schema::create('test_items', function (Blueprint $table): void {
            $table->foreignUlid('test_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('position');
            $table->foreignId('question_id')->index()->constrained();
            $table->foreignId('version_id')->index()->constrained('question_versions');
            $table->string('marks');
            $table->string('penalty')->default('0');
            $table->string('section')->nullable();
            $table->primary(['test_id', 'position']);
        });
    }

    private function createSittings(): void
    {
        Schema::create('sittings', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('test_id')->index()->constrained()->cascadeOnDelete();
            // What its candidate calls it, and how they sit it: as the test says, or untimed where it was sat on paper.
            $table->string('name');
            $table->string('mode');
            $table->boolean('on_paper')->default(false);
            // What its candidate means to have left at the end: for the pace plan, nothing else.
            $table->unsignedInteger('reserve_ms')->default(0);
            // The device that took it along, to go on without a connection.
            $table->string('packed_by', 64)->nullable();
            $table->unsignedBigInteger('packed_ms')->nullable();
            $table->string('status')->default('not_started');
            // The rules it runs under, extra time included, frozen at its start; null: not begun.
            $table->json('terms')->nullable();
            // Orders are shuffled with it, so that no payload tells how they were written. It never leaves the server.
            $table->string('secret');
            // The tab that may write. A second tab must take the pen first, and the first is told.
            $table->string('pen')->nullable();
            // Unix milliseconds of the server's clock, here and in all columns that end in _ms.
            $table->unsignedBigInteger('started_ms')->nullable();
            $table->unsignedBigInteger('contact_ms')->nullable();
            $table->unsignedBigInteger('deadline_ms')->nullable();
            $table->unsignedBigInteger('ended_ms')->nullable();
            $table->unsignedBigInteger('active_ms')->default(0);
            $table->boolean('by_clock')->default(false);
            // Totals, settled at hand-in from the outcomes. The exact marks are the truth; `share` is for SQL.
            $table->unsignedSmallInteger('questions');
            $table->unsignedSmallInteger('answered')->default(0);
            // How often it was written to: who read an older one must look again before writing.
            $table->unsignedInteger('revision')->default(0);
            // Of its events: how many, the highest sequence, and how much their values take in bytes.
            $table->unsignedInteger('events')->default(0);
            $table->unsignedInteger('last_seq')->default(0);
            $table->unsignedInteger('bytes')->default(0);
            $table->string('marks')->nullable();
            $table->string('possible')->nullable();
            $table->double('share')->nullable();
            // At least 80 % answered, so it counts in statistics.
            $table->boolean('counts')->default(false);
            // Time ran out while its device had no contact: what came of it is told, and counts for nobody else.
            $table->boolean('waited')->default(false);
            // What came from outside, and what keys were shown during, counts for its candidate alone.
            $table->boolean('in_cohort')->default(true);
            // Some clock runs in it, so its keys are held back until it is closed.
            $table->boolean('clocked')->default(false);
            $table->timestamps();
            // Deleted, and still to be had back for ten minutes.
            $table->softDeletes();
            $table->index(['user_id', 'exam_id', 'status', 'ended_ms']);
            $table->index(['user_id', 'exam_id', 'deleted_at', 'created_at']);
            $table->index(['exam_id', 'counts', 'ended_ms']);
            $table->index(['status', 'deadline_ms']);
        });
        // Of which questions somebody was shown the key without having answered.
        Schema::create('exposures', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('exam_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('question_id')->index()->constrained()->cascadeOnDelete();
            // It stays when the sitting goes.
            $table->foreignUlid('sitting_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->string('how');
            $table->unsignedBigInteger('at_ms');
            // The same as a count of days in the candidate's time zone at that time.
            $table->unsignedInteger('day');
            $table->unique(['user_id', 'question_id', 'sitting_id', 'how']);
        });
        // Which sittings of a series' tests were somebody's attempts. It stays when the sitting goes.
        Schema::create('series_attempts', function (Blueprint $table): void {
            $table->foreignId('series_test_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->foreignUlid('sitting_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->primary(['series_test_id', 'user_id', 'number']);
        });
        // A test that others may sit too, by its code; and who has, with their word on being compared.
        Schema::create('shared_tests', function (Blueprint $table): void {
            $table->foreignUlid('test_id')->primary()->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->index()->constrained()->cascadeOnDelete();
            $table->string('code', 16)->unique();
            $table->timestamp('closed_at')->nullable();
            $table->timestamps();
        });
        Schema::create('shared_sittings', function (Blueprint $table): void {
            $table->foreignUlid('test_id')->constrained('shared_tests', 'test_id')->cascadeOnDelete();
            $table->foreignId('user_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignUlid('sitting_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->boolean('agrees')->default(false);
            $table->timestamps();
            $table->primary(['test_id', 'user_id']);
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
            // With the row's id, which every index ends in: what has come since an event.
            $table->index('sitting_id');
        });
    }

    private function createOutcomes(): void
    {
        // What came of each question of a sitting: a projection of its events.
        // The folded state up to an event, so that a save folds only what is new. Can be thrown away at any time.
        Schema::create('sitting_snapshots', function (Blueprint $table): void {
            $table->foreignUlid('sitting_id')->primary()->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('event_id');
            $table->binary('state');
        });

        $this->createTableOfOutcomes('outcomes');
        // Those of sittings that are deleted and may still come back.
        $this->createTableOfOutcomes('deleted_outcomes');
        Schema::table('outcomes', function (Blueprint $table): void {
            $table->index(['user_id', 'question_id', 'settled_ms']);
            $table->index(['user_id', 'exam_id', 'settled_ms']);
            $table->index(['question_id', 'settled_ms']);
            $table->index(['version_id', 'counts', 'first_look']);
        });
    }

    private function createTableOfOutcomes(string $name): void
    {
        Schema::create($name, function (Blueprint $table): void {
            $table->foreignUlid('sitting_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('position');
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('exam_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('question_id')->constrained()->cascadeOnDelete();
            $table->foreignId('version_id')->constrained('question_versions');
            $table->foreignId('topic_id')->index()->constrained();
            $table->string('section')->nullable();
            $table->string('outcome');
            $table->boolean('shown');
            $table->json('response')->nullable();
            // Exact shares and marks, such as 2/3, beside a number for SQL.
            $table->string('credit')->nullable();
            $table->double('share')->nullable();
            $table->string('first_credit')->nullable();
            $table->string('marks');
            $table->string('possible');
            $table->unsignedSmallInteger('changes');
            $table->json('struck');
            $table->string('sureness')->nullable();
            $table->boolean('flagged');
            $table->unsignedInteger('active_ms');
            // When the response that counts was given.
            $table->unsignedBigInteger('answered_ms')->nullable();
            // The cohort's median for the question as it was known at the time.
            $table->unsignedInteger('cohort_ms')->nullable();
            $table->boolean('first_look');
            // Its sitting was handed in with at least 80 % answered.
            $table->boolean('counts');
            $table->unsignedBigInteger('settled_ms');
            // The same as a count of days in the candidate's time zone at that time.
            $table->unsignedInteger('day');
            $table->primary(['sitting_id', 'position']);
        });
    }

    public function down(): void
    {
        foreach (['deleted_outcomes', 'outcomes', 'sitting_snapshots', 'sitting_events', 'exposures', 'shared_sittings', 'shared_tests', 'series_attempts', 'sittings', 'test_items', 'tests', 'recipes'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
