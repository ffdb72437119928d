<x-app :title="__('me.title')">
    <div class="phone">
        <p class="over-title mb-0">
            {{ __($school && $school->name !== $zone->name ? 'me.clock_school' : 'me.clock', [
                'name' => $student->name(),
                'place' => $zone->place(),
                'school' => (string) $school?->place(),
            ]) }}
        </p>
        <h1>{{ __('me.coming') }}</h1>
        @if ($student->role === Nomada\App\Models\Term\Role::Guardian)
            <p><a class="act main" href="{{ $student->childrenPage() }}">{{ __('me.children') }}</a></p>
        @endif
        @if ($coming !== [])
            @php $n = $coming[0]; @endphp
            <section class="next-up" aria-label="{{ __('me.next') }}">
                <div>{{ $n['isToday'] ? __('me.today', ['day' => $n['day']]) : $n['day'] }}</div>
                <div class="big">{{ $n['time'] }}–{{ $n['end'] }} {{ $n['name'] }}</div>
                <div class="quiet">{{ $n['topic'] ? $n['topic'] . ' · ' : '' }}{{ $n['teacher'] }}@if ($n['school'])
                        · {{ $n['school'] }}
                    @endif
                </div>
                @if ($n['state'] === 'cancelled')
                    <p class="bad mb-0">{{ __('me.cancelled', ['reason' => $n['reason']]) }}</p>
                @elseif (isset($links[$n['series']]) && $n['isHidden'])
                    <p class="quiet mb-0">{{ __('me.link_at', ['time' => $zone->clock($n['doors'])]) }}</p>
                @elseif (isset($links[$n['series']]))
                    <a class="act main"
                        href="{{ $links[$n['series']] }}">{{ $n['isOpen'] ? __('me.come_in') : __('me.door_at', ['time' => $zone->clock($n[
                            'doors'])]) }}</a>
                @else<p class="todo mb-0">{{ __('me.not_registered') }}
                        {{ __(in_array($n['series'], array_column($registrations, 'series'), true) ? 'me.register_below'
                            : 'me.school_does') }}
                    </p>
                @endif
            </section>
        @endif
        <ul class="coming">
            @forelse (array_slice($coming, 1) as $c)
                <li><span class="t">{{ $c['time'] }}–{{ $c['end'] }}<small
                            class="quiet">{{ $c['day'] }}</small></span><span class="n">{{ $c['name'] }}<small
                            class="quiet">{{ $c['topic'] ? $c['topic'] . ' · ' : '' }}{{ $c['teacher'] }}@if ($c['school'])
                                · {{ $c['school'] }}
                            @endif
                        </small>
                    </span>
                    @if ($c['state'] === 'cancelled')
                        <span class="bad">{{ __('me.is_cancelled') }}</span>
                    @elseif (isset($links[$c['series']]) && !$c['isHidden'])
                        <a href="{{ $links[$c['series']] }}"
                        aria-label="{{ __('me.door_of', ['name' => $c['name'], 'day' => $c['day']]) }}">{{ __(
                            'me.door') }}</a>@else<span></span>
                    @endif
                </li>
                @empty
                    @if ($coming === [])
                        <li class="d-block">
                            <div class="empty">
                                <h2>{{ __('me.none') }}</h2>{{ __('me.none_hint') }}
                            </div>
                        </li>
                    @endif
                @endforelse
            </ul>
            @if ($rooms !== [])
                <h2 class="mt-4">{{ __('me.rooms') }}</h2>
                <ul class="places">
                    @foreach ($rooms as $r)
                        <li><b>{{ $r['name'] }}</b><span class="{{ $r['isOpen'] ? 'ok' : 'quiet' }}">{{ $r['words'] }}</span><a
                                href="{{ $r['link'] }}"
                                aria-label="{{ __('me.room_of', ['name' => $r['name']]) }}">{{ __('me.door') }}</a></li>
                    @endforeach
                </ul>
            @endif
            @if ($materials !== [])
                <h2 class="mt-4">{{ __('me.materials') }}</h2>
                <ul class="places">
                    @foreach ($materials as $one)
                        <li><b><a href="{{ $one->address }}" rel="noopener noreferrer">{{ $one->title }}</a></b>
                            <span class="quiet">{{ $one->section }}{{ $one->day === '' ? '' : ", $one->day" }}</span>
                        </li>
                    @endforeach
                </ul>
            @endif
            @if ($registrations !== [])
                <h2 class="mt-4">{{ __('me.registrations') }}</h2>
                <ul class="places">
                    @foreach ($registrations as $r)
                        <li><b>{{ $r['name'] }}</b><span class="{{ $r['tone'] }}">{{ $r['words'] }}</span><a
                                href="{{ route('register', $r['series']) }}"
                                aria-label="{{ __('me.registration_of', ['name' => $r['name']]) }}">{{ $r['act'] }}</a></li>
                    @endforeach
                </ul>
            @endif
            @if ($recordings !== [])
                <h2 class="mt-4">{{ __('recordings.mine') }}</h2>
                <ul class="places">
                    @foreach ($recordings as $r)
                        <li><b>{{ $r->name }}</b><span class="quiet">{{ Nomada\App\Support\Say::day($r->day) }}
                                {{ $r->topic === '' ? '' : "· $r->topic" }}</span><a href="{{ route('recording', $r->id) }}"
                                aria-label="{{ __('recordings.title', ['name' => $r->name]) }}, {{ Nomada\App\Support\Say::day(
                                    $r->day) }}">{{ __('me.open') }}</a>
                        </li>
                    @endforeach
                </ul>
            @endif
            <h2 class="mt-4">{{ __('remind.title') }}</h2>
            @include('publishing.remind', [
                'to' => route('me.remind'),
                'label' => __('remind.own'),
                'choices' => Nomada\Core\Post\Reminder::cases(),
                'value' => $student->remind,
                'empty' => __('remind.as_section'),
            ])
            <p class="quiet small mb-0">{{ __('remind.calendar_hint') }}</p>
            <h2 class="mt-4">{{ __('me.language') }}</h2>
            <x-language :of="$student" />
            <h2 class="mt-4">{{ __('me.elsewhere') }}</h2>
            <ul class="places">
                @if ($calendar !== null)
                    <li><b>{{ __('me.calendar') }}</b><a href="{{ $calendar }}">{{ __('me.open') }}</a></li>
                @endif
                @if ($post !== null)
                    <li><b>{{ __('me.post') }}</b><a href="{{ $post }}">{{ __('me.open') }}</a></li>
                @endif
                @foreach ($places as $p)
                    <li><b>{{ $p['name'] }}</b>
                        @if ($p['page'] !== null)
                            <a href="{{ $p['page'] }}" aria-label="{{ __('me.page_of', ['name' => $p['name']]) }}">{{ __('me.page') }}</a>
                            @endif @if ($p['stream'] !== null)
                                <a href="{{ $p['stream'] }}"
                                    aria-label="{{ __('me.stream_of', ['name' => $p['name']]) }}">{{ __('me.stream') }}</a>
                            @endif
                    </li>
                @endforeach
                <li><b>{{ __('me.feed') }}</b><x-copy :text="$feed" /></li>
                @if ($student->role === Nomada\App\Models\Term\Role::Student)
                    <li><b>{{ __('me.attendance') }}</b><a href="{{ route('attendance.own') }}">{{ __('me.open') }}</a>
                    </li>
                @endif
                <li><b>{{ __('me.code') }}</b><a href="{{ route('join') }}">{{ __('me.type') }}</a></li>
            </ul>
        </div>
    </x-app>
