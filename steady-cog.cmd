@echo off
rem Starts Steady Cog. The first start builds it; later ones run straight from the built files.
rem No delayed expansion: it would take exclamation marks out of names and arguments.
setlocal disabledelayedexpansion
set "home=%~dp0"
set "dist=%home%app\target\dist"
set "jdk="

for %%J in ("%JAVA_HOME%") do call :try "%%~J"
for /d %%J in ("%ProgramFiles%\Eclipse Adoptium\*" "%ProgramFiles%\Java\*" "%ProgramFiles%\Microsoft\jdk*" "%ProgramFiles%\Zulu\*" "%USERPROFILE%\.jdks\*") do call :try "%%~J"
if not defined jdk goto :nojdk
if not exist "%dist%\built" goto :build

:start
set "window=no"
if "%~1"=="" set "window=yes"
for %%C in (open demo shots) do if "%~1"=="%%C" set "window=yes"
for %%A in (%*) do if /i "%%~xA"==".png" if "%~1"=="export" set "window=yes"
set "first="
if "%window%"=="no" if "%~2"=="" if exist "%~1" set "first=open"
if defined first set "window=yes"

if "%window%"=="yes" goto :window
"%jdk%\bin\java" -Xmx1g -XX:+UseSerialGC -XX:TieredStopAtLevel=1 -cp "%dist%\lib\*" steadycog.cli.SteadyCog %*
exit /b %errorlevel%

:window
"%jdk%\bin\java" -Xmx1g -XX:+UseSerialGC --module-path "%dist%\lib\window" --add-modules javafx.controls --enable-native-access=javafx.graphics -Xms32m -Xmn24m -XX:MinHeapFreeRatio=15 -XX:MaxHeapFreeRatio=30 -cp "%dist%\lib\*;%dist%\lib\app\*" steadycog.cli.SteadyCog %first% %*
exit /b %errorlevel%

:build
set "mvn="
for %%M in (mvn.cmd mvn.bat mvn.exe) do if not "%%~$PATH:M"=="" set "mvn=yes"
if not defined mvn goto :nomaven
echo steady-cog: building, once ... 1>&2
pushd "%home%"
set "JAVA_HOME=%jdk%"
call mvn -B -q -DskipTests -pl app -am package 1>&2
if errorlevel 1 goto :failed
popd
type nul >"%dist%\built"
goto :start

:nojdk
echo steady-cog: no JDK 25 or newer found: winget install EclipseAdoptium.Temurin.25.JDK, or set JAVA_HOME to one 1>&2
exit /b 2

:nomaven
echo steady-cog: not built yet and Maven is not found: install Maven 3.8 or newer 1>&2
exit /b 2

:failed
popd
echo steady-cog: the build failed, see above 1>&2
exit /b 2

:try
if defined jdk exit /b 0
if not exist "%~1\bin\javac.exe" exit /b 0
if not exist "%~1\release" exit /b 0
set "version="
for /f "usebackq tokens=1,2 delims==" %%A in ("%~1\release") do if "%%A"=="JAVA_VERSION" set "version=%%~B"
for /f "tokens=1 delims=." %%M in ("%version%") do if %%M GEQ 25 set "jdk=%~1"
exit /b 0
