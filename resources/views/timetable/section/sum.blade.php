{{-- When it meets, who teaches it, how many students --}}
{{ $page->when->meets === '' ? __('section.no_timetable') : $page->when->meets . ' ' . $page->when->place }}
· @foreach ($page->people->teachers as $one)
    {{ $one->shortName }}{{ $one->isTeacher() ? '' : ' (' . __('section.people.roles.' . $one->role->value) . ')' }}{{ $loop->last ? ''
        : ', ' }}
@endforeach · {{ trans_choice('count.students', $page->status->roster) }}
