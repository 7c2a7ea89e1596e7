<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Handbook\HandbookFile;
use App\Handbook\HandbookSection;
use App\Question\Exam;
use App\Question\Topic;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Yaml\Yaml;

/**
 * Takes an exam's folder of text files into the bank. Loading again adds versions only where something changed.
 *
 * @phpstan-import-type Entry from QuestionFile
 * @phpstan-import-type Section from HandbookFile
 */
final class BankLoader
{
    /**
     * @param  string  $folder  with exam.yaml and questions/*.yaml
     * @return array{questions: int, changed: int}
     *
     * @throws InvalidBank with every fault found; then nothing has been written
     */
    public function load(string $folder): array
    {
        $entries = [];
        $faults = [];
        foreach (glob("{$folder}/questions/*.yaml") ?: [] as $file) {
            try {
                array_push($entries, ...QuestionFile::read($file));
            } catch (InvalidBank $invalid) {
                $faults[] = $invalid->getMessage();
            }
        }
        if ($faults !== []) {
            throw InvalidBank::with($faults);
        }

        return DB::transaction(function () use ($folder, $entries): array {
            $exam = $this->exam("{$folder}/exam.yaml");
            $this->handbook($exam, HandbookFile::folder("{$folder}/handbook"));

            return ['questions' => count($entries), 'changed' => $this->questions($exam, $entries)];
        });
    }

    private function exam(string $file): Exam
    {
        $sheet = Yaml::parseFile($file);
        if (! is_array($sheet) || ! is_string($sheet['slug'] ?? null) || ! is_array($sheet['topics'] ?? null)) {
            throw InvalidBank::with([basename($file).': an exam needs a slug and topics.']);
        }
        $exam = Exam::query()->updateOrCreate(['slug' => $sheet['slug']], [
            'name' => $sheet['name'], 'summary' => $sheet['summary'], 'rules' => $sheet['rules'], 'position' => $sheet['position'] ?? 0,
        ]);
        $position = 0;
        foreach ($sheet['topics'] as $topic) {
            $top = $this->topic($exam, null, $topic, $position++);
            foreach ($topic['subtopics'] ?? [] as $subtopic) {
                $this->topic($exam, $top->id, $subtopic, $position++);
            }
        }

        return $exam;
    }

    /** @param  list<Section>  $sections */
    private function handbook(Exam $exam, array $sections): void
    {
        foreach ($sections as $position => $section) {
            HandbookSection::query()->updateOrCreate(['exam_id' => $exam->id, 'code' => $section['code']], $section + ['position' => $position]);
        }
        HandbookSection::query()->where('exam_id', $exam->id)->whereNotIn('code', array_column($sections, 'code'))->delete();
    }

    /** @param  array{code: string, name: string, weight?: string}  $topic */
    private function topic(Exam $exam, ?int $parent, array $topic, int $position): Topic
    {
        return Topic::query()->updateOrCreate(['exam_id' => $exam->id, 'code' => $topic['code']], ['parent_id' => $parent, 'name' => $topic['name'], 'weight' => $topic['weight'] ?? null, 'position' => $position]);
    }

    /**
     * @param  list<Entry>  $entries
     * @return int how many are new or changed
     */
    private function questions(Exam $exam, array $entries): int
    {
        $topics = Topic::query()->where('exam_id', $exam->id)->pluck('id', 'code');
        $current = DB::table('questions')->leftJoin('question_versions', 'question_versions.id', '=', 'questions.version_id')->where('exam_id', $exam->id)
            ->get(['questions.id', 'code', 'topic_id', 'number', 'marks', 'shown', 'answer'])->keyBy('code');
        $changed = 0;
        foreach ($entries as $entry) {
            $topic = $topics[$entry['topic']] ?? throw InvalidBank::with(["{$entry['code']}: there is no subtopic \"{$entry['topic']}\"."]);
            $before = $current[$entry['code']] ?? null;
            $id = $this->question($exam, (int) $topic, $entry, $before?->id);
            if ($before !== null && (int) $before->topic_id !== (int) $topic) {
                // Standings repeat the topic so that pools are counted from one index.
                DB::table('standings')->where('question_id', $id)->update(['topic_id' => $topic]);
            }
            $shown = json_encode($entry['shown'], JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR);
            $answer = json_encode($entry['answer'], JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR);
            if ($before !== null && $before->shown === $shown && $before->answer === $answer && $before->marks === $entry['marks']) {
                continue;
            }
            $version = DB::table('question_versions')->insertGetId(['question_id' => $id, 'number' => 1 + (int) ($before->number ?? 0), 'marks' => $entry['marks'], 'shown' => $shown, 'answer' => $answer, 'created_at' => now()]);
            DB::table('questions')->where('id', $id)->update(['version_id' => $version]);
            $changed++;
        }

        return $changed;
    }

    /** @param  Entry  $entry */
    private function question(Exam $exam, int $topic, array $entry, ?int $id): int
    {
        $row = ['topic_id' => $topic, 'kind' => $entry['kind'], 'difficulty' => $entry['difficulty'], 'updated_at' => now()];
        if ($id === null) {
            $id = DB::table('questions')->insertGetId($row + ['exam_id' => $exam->id, 'code' => $entry['code'], 'created_at' => now()]);
        } else {
            DB::table('questions')->where('id', $id)->update($row);
            DB::table('question_tags')->where('question_id', $id)->delete();
        }
        DB::table('question_tags')->insert(array_map(fn (string $family, string $value): array => ['question_id' => $id, 'family' => $family, 'value' => $value], array_keys($entry['tags']), $entry['tags']));

        return $id;
    }
}
