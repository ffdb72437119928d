@php
    $section = $row['section'];
    $status = $row['status'];
    $snags = $status->snags();
    $shown = array_values(array_filter($snags, \Nomada\App\View\Timetable\BoardPage::isShown(...)));
@endphp
<tr class="row-s" tabindex="{{ $first ? 0 : -1 }}" aria-label="{{ $section->name() }}">
    <td><input class="form-check-input" type="checkbox" name="sections[]" value="{{ $section->sourced_id }}" data-name="{{ $section->name() }}" aria-label="Choose {{ $section->name() }}"></td>
    <td class="sec"><a href="{{ route('section', $section) }}">{{ $section->name() }}</a><small>{{ $row['meets'] === '' ? 'no timetable yet' : $row['meets'] }}{{ $row['teacher'] === '' ? '' : ' · '.$row['teacher'] }}</small></td>
    <td class="line-cell"><x-term-line :line="$line" :days="$row['days']" :today="$today" :minute="$minute" :name="$section->name()" :url="route('section', $section)"/></td>
    <td>@if ($status->series === 0)<span class="quiet">–</span>@elseif ($status->linked >= $status->series)<span class="ok">linked</span>@else<span class="todo">{{ $status->linked === 0 ? 'no link' : "$status->linked of $status->series" }}</span>@endif</td>
    <td><span class="{{ $status->series > 0 && $status->registered < $status->roster ? 'todo' : 'ok' }}">{{ $status->registered }} of {{ $status->roster }}</span></td>
    @foreach (\Nomada\Core\Publishing\Place::cases() as $place)
        @php
            $n = $status->places[$place->value] ?? \Nomada\App\Actions\Publishing\PlanQuery::NONE;
            $stands = $n['leave'] + $n['change'] + $n['remove'];
            $is = $n['trouble'] > 0 ? 'wrong' : ($stands === 0 ? 'planned' : ($n['add'] + $n['change'] + $n['remove'] > 0 ? 'changed' : 'published'));
            $means = ['wrong' => 'refused', 'planned' => 'not published', 'changed' => 'changed since', 'published' => 'published'][$is];
        @endphp
        <td><span class="place"><x-shape :is="$is" :label="$place->title().': '.$means"/>{{ $stands }}</span></td>
    @endforeach
    <td class="snag">@isset($shown[0])<span class="{{ $shown[0]->isWrong ? 'bad' : 'todo' }}">{{ $shown[0]->words }}</span>@if (count($shown) > 1) <span class="quiet">+{{ count($shown) - 1 }}</span>@endif @endisset</td>
</tr>
