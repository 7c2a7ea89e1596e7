<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('enrolments', function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('exam_id')->index()->constrained()->cascadeOnDelete();
            $table->date('exam_date')->nullable();
            // The share aimed at, exact; null: the cut.
            $table->string('target')->nullable();
            $table->double('hours_week')->nullable();
            // Numbers of weekdays, 1 is Monday; and dates.
            $table->json('weekdays_off')->nullable();
            $table->json('dates_off')->nullable();
            $table->string('time_zone')->default('UTC');
            // Whether they take part in the cohort, and when they said so last.
            $table->boolean('in_cohort')->default(true);
            $table->unsignedBigInteger('cohort_ms')->nullable();
            $table->timestamps();
            $table->primary(['user_id', 'exam_id']);
        });
        // One row for each question a candidate has met or marked: the pools are counted here, never in the bank.
        Schema::create('standings', function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('question_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('exam_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('topic_id')->index()->constrained();
            // The latest; null: not met yet.
            $table->string('outcome')->nullable();
            $table->boolean('flagged')->default(false);
            $table->boolean('starred')->default(false);
            $table->boolean('noted')->default(false);
            $table->boolean('false_footing')->default(false);
            $table->boolean('gap_open')->default(false);
            $table->unsignedSmallInteger('misses')->default(0);
            // Open, closing or closed; null: it never was in the gap book. Since when, as a count of days.
            $table->string('gap')->nullable();
            $table->unsignedInteger('gap_day')->nullable();
            // How firmly it is remembered, and as of which day.
            $table->double('stability')->nullable();
            $table->unsignedInteger('remembered_day')->nullable();
            // When it should come back, as a count of days, before the exam's date has its say.
            $table->unsignedInteger('due_day')->nullable();
            $table->unsignedInteger('seen')->default(0);
            $table->unsignedBigInteger('seen_ms')->nullable();
            $table->primary(['user_id', 'question_id']);
            // Counting and drawing from what a candidate has met reads this index and nothing else.
            $table->index(
                [
                    'user_id',
                    'exam_id',
                    'topic_id',
                    'outcome',
                    'flagged',
                    'starred',
                    'noted',
                    'false_footing',
                    'gap_open',
                    'due_day',
                    'question_id',
                    'seen_ms',
                ],
                'standings_by_topic',
            );
            $table->index(['user_id', 'exam_id', 'outcome', 'topic_id']);
            $table->index(['user_id', 'exam_id', 'due_day']);
            $table->index(['user_id', 'exam_id', 'gap', 'gap_day']);
            $table->index(['user_id', 'exam_id', 'seen_ms']);
        });
        // What a candidate says of a question in the gap book: why it went wrong, and their last move in or out of it.
        Schema::create('gap_entries', function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('question_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('exam_id')->index()->constrained()->cascadeOnDelete();
            $table->string('cause')->nullable();
            $table->unsignedBigInteger('moved_ms')->nullable();
            // The same as a count of days in the candidate's time zone at that time.
            $table->unsignedInteger('moved_day')->nullable();
            $table->boolean('into')->nullable();
            $table->timestamps();
            $table->primary(['user_id', 'question_id']);
        });
        // What a candidate says of when a question should come back: never, or not before some day.
        Schema::create('revisit_words', function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('question_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('exam_id')->index()->constrained()->cascadeOnDelete();
            $table->boolean('suspended');
            $table->unsignedInteger('until_day')->nullable();
            $table->unsignedBigInteger('said_ms');
            $table->primary(['user_id', 'question_id']);
        });
        // Where a candidate stands, worked out when the evidence has changed and kept. `evidence` counts the changes,
        // `made_of` says of which of them it was made, `day` on which day: answers age.
        Schema::create('kept_estimates', function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('exam_id')->index()->constrained()->cascadeOnDelete();
            $table->unsignedInteger('evidence')->default(0);
            $table->unsignedInteger('made_of')->nullable();
            $table->unsignedBigInteger('made_ms')->nullable();
            $table->unsignedInteger('day')->nullable();
            $table->json('estimates')->nullable();
            $table->primary(['user_id', 'exam_id']);
        });
        // The pass outlook as it was told at the end of each day on which it changed.
        Schema::create('outlooks', function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('exam_id')->index()->constrained()->cascadeOnDelete();
            $table->unsignedInteger('day');
            $table->double('chance');
            $table->double('low');
            $table->double('high');
            $table->unsignedInteger('responses');
            $table->primary(['user_id', 'exam_id', 'day']);
        });
        // What each candidate's latest sitting of the whole exam came to, whole ('') and by topic, for comparison.
        Schema::create('cohort_marks', function (Blueprint $table): void {
            $table->foreignId('exam_id')->constrained()->cascadeOnDelete();
            $table->string('topic');
            $table->foreignId('user_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignUlid('sitting_id')->index()->constrained()->cascadeOnDelete();
            $table->double('share');
            $table->primary(['exam_id', 'topic', 'user_id']);
            $table->index(['exam_id', 'topic', 'share', 'user_id']);
        });
        // What was planned for a week when it was first looked at, or when the hours changed: what is done is held
        // against it.
        Schema::create('plan_weeks', function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('exam_id')->index()->constrained()->cascadeOnDelete();
            // Its Monday, as a count of days.
            $table->unsignedInteger('monday');
            $table->unsignedInteger('questions');
            $table->unsignedInteger('ms');
            $table->boolean('rehearsal');
            $table->unsignedBigInteger('made_ms');
            $table->primary(['user_id', 'exam_id', 'monday']);
        });
        Schema::create('notes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('exam_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('question_id')->nullable()->index()->constrained()->cascadeOnDelete();
            $table->string('section')->nullable();
            $table->text('body');
            $table->timestamps();
            $table->index(['user_id', 'exam_id', 'question_id']);
            $table->index(['user_id', 'exam_id', 'section']);
        });
        Schema::create('highlights', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('exam_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('question_id')->nullable()->index()->constrained()->cascadeOnDelete();
            $table->string('section')->nullable();
            // Which text of it ("stem", "option:…", "exhibit:2"), and which letters of that text as it is read.
            $table->string('part');
            // Marked or struck through.
            $table->string('kind');
            $table->unsignedInteger('from');
            $table->unsignedInteger('to');
            $table->text('quote');
            $table->timestamps();
            $table->index(['user_id', 'exam_id', 'question_id']);
            $table->index(['user_id', 'exam_id', 'section']);
        });
        // Two sides to remember, on the schedule of revisits: from a question, from a page of the handbook, or neither.
        Schema::create('cards', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('exam_id')->index()->constrained()->cascadeOnDelete();
            $table->foreignId('question_id')->nullable()->index()->constrained()->nullOnDelete();
            $table->string('section')->nullable();
            $table->text('front');
            $table->text('back');
            $table->boolean('suspended')->default(false);
            // What its looks come to: how many, how firmly it is remembered as of which day, when it should come back
            // before the exam's date has its say. Not looked at yet, it is due from the day it was made on.
            $table->unsignedInteger('looks')->default(0);
            $table->double('stability')->nullable();
            $table->unsignedInteger('remembered_day')->nullable();
            $table->unsignedInteger('due_day');
            $table->unsignedInteger('made_day');
            $table->unsignedBigInteger('made_ms');
            $table->index(['user_id', 'exam_id', 'suspended', 'due_day']);
        });
        Schema::create('card_looks', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('card_id')->constrained()->cascadeOnDelete();
            $table->string('uid', 64);
            $table->unsignedTinyInteger('grade');
            $table->unsignedBigInteger('at_ms');
            // The same as a count of days in the candidate's time zone at that time.
            $table->unsignedInteger('day');
            $table->unique(['card_id', 'uid']);
        });
        // How far a page of the handbook was read: its step, where it is a lesson, and whether it was read to its end.
        Schema::create('readings', function (Blueprint $table): void {
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('exam_id')->index()->constrained()->cascadeOnDelete();
            $table->string('section');
            $table->unsignedSmallInteger('step');
            $table->unsignedBigInteger('finished_ms')->nullable();
            $table->unsignedBigInteger('read_ms');
            $table->primary(['user_id', 'exam_id', 'section']);
        });
        // What was typed and drawn beside one sitting.
        Schema::create('scratch_pads', function (Blueprint $table): void {
            $table->foreignUlid('sitting_id')->primary()->constrained()->cascadeOnDelete();
            $table->text('words');
            $table->longText('strokes');
            $table->timestamp('updated_at');
        });
    }

    public function down(): void
    {
        foreach (['scratch_pads', 'readings', 'card_looks', 'cards', 'highlights', 'notes', 'plan_weeks', 'cohort_marks', 'outlooks', 'kept_estimates', 'revisit_words', 'gap_entries', 'standings', 'enrolments'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
