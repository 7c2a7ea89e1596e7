<?php

declare(strict_types=1);

namespace App\Question;

use App\Account\User;
use App\Clock\Moment;
use Psr\Clock\ClockInterface;

/**
 * Somebody who studies for an exam, with what almost everything asks of both: their word on it, its topics, what day
 * it is where they live. Made once a request, from the exam in the address, and handed on; what it has read it keeps.
 */
final class Candidacy
{
    private ?Enrolment $enrolment = null;

    private ?Syllabus $syllabus = null;

    public function __construct(public readonly User $user, public readonly Exam $exam)
    {
    }

    public function enrolment(): Enrolment
    {
        return $this->enrolment ??= Enrolment::of($this->user->id, $this->exam->id);
    }

    public function syllabus(): Syllabus
    {
        return $this->syllabus ??= Syllabus::of($this->exam);
    }

    /** The day it is where they live, a count of days. */
    public function today(ClockInterface $clock): int
    {
        return $this->enrolment()->dayOf(Moment::now($clock));
    }

    /**
     * What is theirs in this exam, of any table.
     *
     * @return array{user_id: int, exam_id: int}
     */
    public function key(): array
    {
        return ['user_id' => $this->user->id, 'exam_id' => $this->exam->id];
    }
}
