<?php

// A quién reúne el horario fuera de las horas de su propio reloj.
return [
    'title' => 'Fuera de su horario',
    'link' => 'Quién está fuera de su horario',
    'sum' => '{0} Nadie antes de las :opens ni después de las :closes|'
        .'{1} 1 estudiante antes de las :opens o después de las :closes en su reloj|'
        .'[2,*] :count estudiantes antes de las :opens o después de las :closes en su reloj',
    'none' => 'Nadie está fuera de su horario',
    'none_hint' => 'Ninguna sesión futura es antes de las :opens ni después de las :closes en el reloj de un '
        .'estudiante.',
    'fix' => 'Buscar horas mejores…',
    'columns' => ['Serie', 'Dónde', 'En su reloj', 'Estudiantes'],
    'sessions' => '1 sesión|:count sesiones',
];
