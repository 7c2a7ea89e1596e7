<?php

declare(strict_types=1);

namespace App\Progress;

use App\Account\User;
use App\Question\Exam;
use Illuminate\Support\Facades\DB;

/** Works out anew where candidates stand, as of when it was made, and holds it against what is kept. */
final readonly class EstimatesRecount
{
    public function __construct(private KeptEstimates $kept)
    {
    }

    /**
     * @param  string|null  $email  of the only candidate to look at; null: all
     * @return iterable<string|null> for each that is not of before, how it differs; null: it does not
     */
    public function run(?string $email): iterable
    {
        $rows = DB::table('kept_estimates')
            ->join('users', 'users.id', '=', 'kept_estimates.user_id')
            ->when($email !== null, fn ($query) => $query->where('users.email', $email))
            ->whereNotNull('estimates')
            ->whereColumn('made_of', 'evidence')
            ->orderBy('user_id')
            ->orderBy('kept_estimates.exam_id')
            ->select('kept_estimates.*');
        foreach ($rows->get() as $row) {
            $exam = Exam::query()->findOrFail((int) $row->exam_id);
            $user = User::query()->findOrFail((int) $row->user_id);
            $made = $this->kept->make($exam, $user, (int) $row->made_ms);
            $told = DB::table('outlooks')
                ->where('user_id', $row->user_id)
                ->where('exam_id', $row->exam_id)
                ->where('day', $row->day)
                ->value('chance');
            $outlook = $made['stands']['outlook'];
            yield match (true) {
                KeptEstimates::written($made) !== (string) $row->estimates => self::says($row->user_id, 'estimates'),
                $outlook !== null && self::differ($told, $outlook['chance']) => self::says($row->user_id, 'outlooks'),
                default => null,
            };
        }
    }

    /** A database keeps fourteen digits of a number. */
    private static function differ(mixed $stored, float $made): bool
    {
        return ! is_numeric($stored) || abs((float) $stored - $made) > 1e-12;
    }

    private static function says(mixed $user, string $what): string
    {
        return 'Candidate '.(is_numeric($user) ? $user : '?').": {$what} are not what the answers come to.";
    }
}
